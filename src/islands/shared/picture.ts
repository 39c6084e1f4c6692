/** Dots of a picture for each millimetre of its drawing: 300 an inch. */
const DOTS_PER_MM = 300 / 25.4;

/** An SVG file as an address that an image can show. */
export const toImageAddress = (svg: string): string =>
  `data:image/svg+xml;charset=utf-8,${encodeURIComponent(svg)}`;

/** An SVG file of a size in millimetres as a PNG on white. */
export async function toPng(svg: string, widthMm: number, heightMm: number): Promise<Blob> {
  const image = new Image();
  image.src = toImageAddress(svg);
  await image.decode();
  const canvas = document.createElement('canvas');
  canvas.width = Math.round(widthMm * DOTS_PER_MM);
  canvas.height = Math.round(heightMm * DOTS_PER_MM);
  const context = canvas.getContext('2d');
  if (context === null) throw new Error('This browser has no canvas');
  context.fillStyle = '#ffffff';
  context.fillRect(0, 0, canvas.width, canvas.height);
  context.drawImage(image, 0, 0, canvas.width, canvas.height);
  const blob = await new Promise<Blob | null>((resolve) => {
    canvas.toBlob(resolve, 'image/png');
  });
  if (blob === null) throw new Error('The picture could not be written');
  return blob;
}
