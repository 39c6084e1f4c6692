/** Hands a file to the person, named without signs that file systems refuse. */
export function saveFile(name: string, content: BlobPart, type = 'application/json'): void {
  const url = URL.createObjectURL(new Blob([content], { type }));
  const link = document.createElement('a');
  link.href = url;
  link.download = name.replaceAll(/[\\/:*?"<>|]+/g, '-').replaceAll(' ', '-');
  link.click();
  URL.revokeObjectURL(url);
}
