import { problem, type Result } from '../../../core/problems/problem.ts';

/** A film that is open in this browser; it is never stored. */
export interface Film {
  readonly url: string;
  readonly name: string;
  readonly seconds: number;
}

/** A hold takes minutes at most. Our choice. */
const MOST_MINUTES = 15;
/** Some recorders write no length: a place beyond any end makes the browser look for it. */
const BEYOND_ANY_END = 1e7;

const nextEvent = (video: HTMLVideoElement, types: readonly string[]): Promise<string> =>
  new Promise((resolve) => {
    for (const type of types) {
      video.addEventListener(
        type,
        () => {
          resolve(type);
        },
        { once: true },
      );
    }
  });

/** Length of a film, seconds; null when this browser cannot show it. */
async function readSeconds(url: string): Promise<number | null> {
  const video = document.createElement('video');
  video.preload = 'metadata';
  video.muted = true;
  const ready = nextEvent(video, ['loadedmetadata', 'error']);
  video.src = url;
  if ((await ready) === 'error' || video.videoWidth === 0) return null;
  if (!Number.isFinite(video.duration)) {
    const found = nextEvent(video, ['durationchange', 'seeked', 'error']);
    video.currentTime = BEYOND_ANY_END;
    await found;
  }
  return Number.isFinite(video.duration) ? video.duration : null;
}

/**
 * Opens a film from this device.
 *
 * @returns problems `not-a-film`, `film-too-long`, with the file's name
 */
export async function loadFilm(file: File): Promise<Result<Film>> {
  const url = URL.createObjectURL(file);
  const seconds = await readSeconds(url);
  if (seconds !== null && seconds <= MOST_MINUTES * 60) {
    return { ok: true, value: { url, name: file.name, seconds } };
  }
  URL.revokeObjectURL(url);
  const found =
    seconds === null
      ? problem('not-a-film', file.name)
      : problem('film-too-long', file.name, {
          minutes: Math.round(seconds / 60),
          most: MOST_MINUTES,
        });
  return { ok: false, problems: [found] };
}
