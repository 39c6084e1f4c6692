import { ChevronLeft, ChevronRight } from 'lucide-react';
import { useRef } from 'react';
import { FRAME_NAMES, type FrameName } from '../../../core/poseCheck/compareFrames.ts';
import { Button } from '../../shared/ui/Button.tsx';
import { repaint } from '../../shared/photo/loadPicture.ts';
import { filmPlayer as say } from '../words.ts';
import type { FilmState } from './useFilm.ts';

/** One frame of a film whose own rate is not known, seconds. Our choice. */
const FRAME_SECONDS = 1 / 30;

/** A film: played, stepped frame by frame, and up to three of its frames taken. */
export function FilmPlayer({ state }: { state: FilmState }) {
  const video = useRef<HTMLVideoElement>(null);
  const { film, taken, current } = state;
  if (film === null) return null;
  const step = (by: number): void => {
    const player = video.current;
    if (player === null) return;
    player.pause();
    player.currentTime = Math.max(0, Math.min(film.seconds, player.currentTime + by));
  };
  const take = async (name: FrameName): Promise<void> => {
    const player = video.current;
    if (player === null || player.videoWidth === 0) return;
    player.pause();
    const picture = await repaint(player, player.videoWidth, player.videoHeight);
    state.take(name, picture, player.currentTime);
  };
  return (
    <div className="my-3 max-w-160" data-testid="film">
      {/* A film of a hold has nothing to be heard. */}
      <video
        ref={video}
        className="w-full border border-hair"
        src={film.url}
        controls
        muted
        playsInline
        preload="auto"
        aria-label={say.film}
        onKeyDown={(event) => {
          if (event.key === ',') step(-FRAME_SECONDS);
          if (event.key === '.') step(FRAME_SECONDS);
        }}
      />
      <div className="my-2 flex flex-wrap items-center gap-2">
        <Button
          isPlain
          onClick={() => {
            step(-FRAME_SECONDS);
          }}
        >
          <ChevronLeft aria-hidden size={18} /> {say.frameBack}
        </Button>
        <Button
          isPlain
          onClick={() => {
            step(FRAME_SECONDS);
          }}
        >
          {say.frameOn} <ChevronRight aria-hidden size={18} />
        </Button>
        {FRAME_NAMES.map((name) => (
          <Button key={name} isPlain onClick={() => void take(name)}>
            {say.take(name)}
          </Button>
        ))}
      </div>
      <div className="flex flex-wrap gap-2" role="group" aria-label={say.framesTaken}>
        {FRAME_NAMES.map((name) => {
          const frame = taken[name];
          return frame === undefined ? null : (
            <Button
              key={name}
              isPlain
              aria-pressed={name === current}
              onClick={() => {
                state.turnTo(name);
              }}
            >
              {say.marksOf(name, frame.seconds)}
            </Button>
          );
        })}
      </div>
      <p className="text-faint">{say.notStored}</p>
    </div>
  );
}
