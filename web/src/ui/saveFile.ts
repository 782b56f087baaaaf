/** Gives a file to the browser to save. */
export function saveFile(name: string, type: string, ...pieces: BlobPart[]): void {
  const address = URL.createObjectURL(new Blob(pieces, { type }));
  const link = document.createElement('a');
  link.href = address;
  link.download = name.replace(/[\\/:*?"<>|]+/g, ' ').trim();
  link.click();
  setTimeout(() => URL.revokeObjectURL(address), 10_000);
}
