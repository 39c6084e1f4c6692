import { paint } from '../picture.ts';
import { imageSize } from 'image-size';
import { problem, type Result } from '../../../core/problems/problem.ts';

/** A picture as it is read and kept: upright, of a size to work with, without a camera's tags. */
export interface Picture {
  readonly blob: Blob;
  readonly width: number;
  readonly height: number;
}

/** More than this is not decoded: it would take the memory of a small tablet. Our choice. */
const MOST_MEGAPIXELS = 40;
const LONGEST_EDGE = 1600;
const QUALITY = 0.9;
/** Enough of a picture file to hold its dimensions, unless long metadata comes first. */
const HEADER_BYTES = 512 * 1024;
/** A file whose dimensions cannot be read is decoded only when it is smaller than this. Our choice. */
const MOST_BYTES_UNREAD = 24 * 1024 * 1024;

const countMegapixels = ({ width, height }: { width: number; height: number }): number =>
  (width * height) / 1e6;

/** Megapixels from the file's metadata; null = it cannot be read. */
async function readMegapixels(file: File): Promise<number | null> {
  for (const bytes of [HEADER_BYTES, file.size]) {
    try {
      const part = new Uint8Array(await file.slice(0, bytes).arrayBuffer());
      return countMegapixels(imageSize(part));
    } catch {
      // The size may stand further on.
    }
  }
  return null;
}

/** Redraws a decoded picture or a frame of a film, which leaves every tag behind. */
export async function repaint(
  source: CanvasImageSource,
  width: number,
  height: number,
): Promise<Picture> {
  const by = Math.min(1, LONGEST_EDGE / Math.max(width, height));
  const [ownWidth, ownHeight] = [Math.round(width * by), Math.round(height * by)];
  const blob = await paint(source, ownWidth, ownHeight, 'image/jpeg', QUALITY);
  return { blob, width: ownWidth, height: ownHeight };
}

/**
 * Opens a picture file.
 *
 * @returns problems `not-a-picture`, `picture-too-large`, with the file's name
 */
export async function loadPicture(file: File): Promise<Result<Picture>> {
  const tooLarge = (megapixels: number): Result<Picture> => {
    const details = { megapixels: Math.round(megapixels), most: MOST_MEGAPIXELS };
    return { ok: false, problems: [problem('picture-too-large', file.name, details)] };
  };
  const notAPicture = { ok: false, problems: [problem('not-a-picture', file.name)] } as const;
  const told = await readMegapixels(file);
  if (told !== null && told > MOST_MEGAPIXELS) return tooLarge(told);
  if (told === null && file.size > MOST_BYTES_UNREAD) return notAPicture;
  try {
    const bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' });
    const megapixels = countMegapixels(bitmap);
    const picture =
      megapixels > MOST_MEGAPIXELS ? null : await repaint(bitmap, bitmap.width, bitmap.height);
    bitmap.close();
    return picture === null ? tooLarge(megapixels) : { ok: true, value: picture };
  } catch {
    return notAPicture;
  }
}

/** A drawing of the core as a picture, for trying the marks out. */
export async function paintDrawing(svg: string, width: number, height: number): Promise<Picture> {
  const url = URL.createObjectURL(new Blob([svg], { type: 'image/svg+xml' }));
  const image = new Image(width, height);
  image.src = url;
  await image.decode();
  URL.revokeObjectURL(url);
  return repaint(image, width, height);
}
