/** Dots of a picture for each millimetre of its drawing: 300 an inch. */
const DOTS_PER_MM = 300 / 25.4;

/** An SVG file as an address that an image can show. */
export const toImageAddress = (svg: string): string =>
  `data:image/svg+xml;charset=utf-8,${encodeURIComponent(svg)}`;

/** Redraws a picture on white, of a size in dots. */
export async function paint(
  source: CanvasImageSource,
  width: number,
  height: number,
  type: 'image/png' | 'image/jpeg',
  quality?: number,
): Promise<Blob> {
  const canvas = document.createElement('canvas');
  canvas.width = width;
  canvas.height = height;
  const context = canvas.getContext('2d');
  if (context === null) throw new Error('This browser has no canvas');
  context.fillStyle = '#fff';
  context.fillRect(0, 0, width, height);
  context.drawImage(source, 0, 0, width, height);
  const blob = await new Promise<Blob | null>((resolve) => {
    canvas.toBlob(resolve, type, quality);
  });
  if (blob === null) throw new Error('The picture could not be written');
  return blob;
}

/** An SVG file of a size in millimetres as a PNG on white. */
export async function toPng(svg: string, widthMm: number, heightMm: number): Promise<Blob> {
  const image = new Image();
  image.src = toImageAddress(svg);
  await image.decode();
  const dots = (mm: number): number => Math.round(mm * DOTS_PER_MM);
  return paint(image, dots(widthMm), dots(heightMm), 'image/png');
}
