import { Lock } from 'lucide-react';
import { lazy, Suspense, useRef, useState, type SubmitEvent } from 'react';
import { SelectField } from '../shared/ui/SelectField.tsx';
import { canHandOver, choosePin, findPinProblem, handOver, setAutoMinutes } from './handOver.ts';
import { useHandOver } from './useHandOver.ts';
import { Button, WordButton } from '../shared/ui/Button.tsx';
import { Field } from '../shared/ui/Field.tsx';
import { handOverButton as say } from './words.ts';

const Popover = lazy(async () => ({
  default: (await import('../shared/ui/Popover.tsx')).Popover,
}));

const AUTO: readonly (readonly [string, string])[] = [
  ['', 'never'],
  ['2', say.minutesWithoutUse],
  ['5', say.minutesWithoutUseWord],
  ['15', say.minutesWithoutUse2],
];

/** Hands the view that is open over to the person on the mat. */
export function HandOverButton() {
  const state = useHandOver();
  const [isOpen, setIsOpen] = useState(false);
  const button = useRef<HTMLButtonElement>(null);
  if (!canHandOver(window.location.pathname)) return null;
  return (
    <>
      <WordButton
        ref={button}
        className="text-faint"
        title={say.handOver}
        aria-haspopup="dialog"
        aria-expanded={isOpen}
        onClick={() => {
          setIsOpen(true);
        }}
      >
        <Lock aria-hidden size={18} className="inline" />
        <span className="sr-only">{say.handOver}</span>
      </WordButton>
      {isOpen && (
        <Suspense>
          <Popover
            label={say.handOverWord}
            triggerRef={button}
            onClose={() => {
              setIsOpen(false);
            }}
          >
            {state === null ? <ChoosePin /> : <Ready autoMinutes={state.autoMinutes} />}
            <p className="mt-3 text-faint">{say.appThenShowsOnly}</p>
          </Popover>
        </Suspense>
      )}
    </>
  );
}

function ChoosePin() {
  const [pin, setPin] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const submit = (event: SubmitEvent): void => {
    event.preventDefault();
    const found = findPinProblem(pin);
    setProblem(found);
    if (found === null) void choosePin(pin);
  };
  return (
    <form onSubmit={submit}>
      <Field label={say.choosePinDigits}>
        <input
          inputMode="numeric"
          autoComplete="off"
          value={pin}
          aria-invalid={problem !== null}
          onChange={(event) => {
            setPin(event.target.value);
            setProblem(null);
          }}
        />
      </Field>
      {problem !== null && <p role="alert">{problem}</p>}
      <Button type="submit" className="mt-3">
        {say.usePin}
      </Button>
    </form>
  );
}

function Ready({ autoMinutes }: { autoMinutes: number | null }) {
  const [isChanging, setIsChanging] = useState(false);
  if (isChanging) return <ChoosePin />;
  return (
    <>
      <div className="my-4 flex flex-wrap gap-3">
        <Button onClick={handOver}>{say.handOverNow}</Button>
        <WordButton
          onClick={() => {
            setIsChanging(true);
          }}
        >
          {say.chooseAnotherPin}
        </WordButton>
      </div>
      <SelectField
        label={say.lockAutomaticallyAfter}
        value={autoMinutes === null ? '' : String(autoMinutes)}
        options={AUTO}
        onChange={(value) => {
          setAutoMinutes(value === '' ? null : Number(value));
        }}
      />
    </>
  );
}
