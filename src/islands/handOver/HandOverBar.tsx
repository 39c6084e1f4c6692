import { useEffect, useState, type SubmitEvent } from 'react';
import { canHandOver, handOver, takeBack } from './handOver.ts';
import { useHandOver } from './useHandOver.ts';
import { Button } from '../shared/ui/Button.tsx';
import { handOverBar as say } from './words.ts';

/** After this many wrong PINs there is a pause. Our choices. */
const TRIES = 5;
const PAUSE_MS = 30_000;

const MS_PER_MINUTE = 60_000;

/** While the app is handed over: that it is, and the way back. */
export function HandOverBar() {
  const state = useHandOver();
  const lockedAt = state?.lockedAt ?? null;
  const isLocked = lockedAt !== null;
  const isCovered = isLocked && !canHandOver(new URL(lockedAt, window.location.href).pathname);
  useEffect(() => {
    document.documentElement.classList.toggle('is-handed-over', isLocked);
    document.documentElement.classList.toggle('is-covered', isCovered);
  }, [isLocked, isCovered]);
  useStayingAt(lockedAt);
  useAutoLock(isLocked ? null : (state?.autoMinutes ?? null));
  return isLocked ? <TakeBack isCovered={isCovered} /> : null;
}

/** Whether a place is another view, or another person, than the one handed over. */
function isElsewhere(lockedAt: string): boolean {
  const locked = new URL(lockedAt, window.location.href);
  const here = new URL(window.location.href);
  return (
    locked.pathname !== here.pathname ||
    locked.searchParams.get('id') !== here.searchParams.get('id')
  );
}

/** A page that comes back from the browser’s memory was not asked on its way in. */
function useStayingAt(lockedAt: string | null): void {
  useEffect(() => {
    if (lockedAt === null) return;
    const check = (): void => {
      if (isElsewhere(lockedAt)) window.location.replace(lockedAt);
    };
    check();
    window.addEventListener('pageshow', check);
    window.addEventListener('popstate', check);
    return () => {
      window.removeEventListener('pageshow', check);
      window.removeEventListener('popstate', check);
    };
  }, [lockedAt]);
}

function useAutoLock(minutes: number | null): void {
  useEffect(() => {
    if (minutes === null) return;
    let timer: ReturnType<typeof setTimeout>;
    const begin = (): void => {
      clearTimeout(timer);
      timer = setTimeout(handOver, minutes * MS_PER_MINUTE);
    };
    begin();
    // Before a handle on the drawing can keep them to itself.
    window.addEventListener('pointerdown', begin, { capture: true });
    window.addEventListener('keydown', begin, { capture: true });
    return () => {
      clearTimeout(timer);
      window.removeEventListener('pointerdown', begin, { capture: true });
      window.removeEventListener('keydown', begin, { capture: true });
    };
  }, [minutes]);
}

function TakeBack({ isCovered }: { isCovered: boolean }) {
  const [pin, setPin] = useState('');
  const [tries, setTries] = useState(0);
  const [isPaused, setIsPaused] = useState(false);
  const submit = async (event: SubmitEvent): Promise<void> => {
    event.preventDefault();
    setPin('');
    if (await takeBack(pin)) return;
    setTries(tries + 1);
    if ((tries + 1) % TRIES !== 0) return;
    setIsPaused(true);
    setTimeout(() => {
      setIsPaused(false);
    }, PAUSE_MS);
  };
  return (
    <form
      className="flex flex-wrap items-center gap-x-4 gap-y-2 rounded bg-mist px-4 py-[0.3rem] [&_input]:w-32 print:hidden"
      onSubmit={(event) => void submit(event)}
    >
      <label className="flex items-center gap-2">
        <span>{isCovered ? say.lockedPin : say.handedOverPinTake}</span>
        <input
          type="password"
          inputMode="numeric"
          autoComplete="off"
          value={pin}
          disabled={isPaused}
          onChange={(event) => {
            setPin(event.target.value);
          }}
        />
      </label>
      <Button type="submit" isPlain disabled={isPaused || pin === ''}>
        {say.takeBack}
      </Button>
      <span role="alert">{isPaused ? say.wrongPinWaitHalf : tries > 0 ? say.wrongPin : ''}</span>
    </form>
  );
}
