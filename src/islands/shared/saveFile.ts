/** Hands a text file to the person, named without signs that file systems refuse. */
export function saveFile(name: string, text: string, type = 'application/json'): void {
  const url = URL.createObjectURL(new Blob([text], { type }));
  const link = document.createElement('a');
  link.href = url;
  link.download = name.replaceAll(/[\\/:*?"<>|]+/g, '-').replaceAll(' ', '-');
  link.click();
  URL.revokeObjectURL(url);
}
