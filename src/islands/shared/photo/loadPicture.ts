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
/** A picture's size stands near its beginning. */
const HEADER_BYTES = 512 * 1024;

/** Paints a decoded picture anew, which leaves every tag behind. */
async function repaint(source: CanvasImageSource, width: number, height: number): Promise<Picture> {
  const by = Math.min(1, LONGEST_EDGE / Math.max(width, height));
  const [ownWidth, ownHeight] = [Math.round(width * by), Math.round(height * by)];
  const blob = await paint(source, ownWidth, ownHeight, 'image/jpeg', QUALITY);
  return { blob, width: ownWidth, height: ownHeight };
}

/**
 * Opens a picture file.
 *
 * @returns problems `not-a-picture`, `picture-too-large`, told by the file's name
 */
export async function loadPicture(file: File): Promise<Result<Picture>> {
  const refused = { ok: false, problems: [problem('not-a-picture', file.name)] } as const;
  try {
    const header = new Uint8Array(await file.slice(0, HEADER_BYTES).arrayBuffer());
    const { width, height } = imageSize(header);
    const megapixels = (width * height) / 1e6;
    if (megapixels > MOST_MEGAPIXELS) {
      const details = { megapixels: Math.round(megapixels), most: MOST_MEGAPIXELS };
      return { ok: false, problems: [problem('picture-too-large', file.name, details)] };
    }
    const bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' });
    const picture = await repaint(bitmap, bitmap.width, bitmap.height);
    bitmap.close();
    return { ok: true, value: picture };
  } catch {
    return refused;
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
