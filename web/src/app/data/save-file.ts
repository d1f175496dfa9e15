/** Has the browser keep something as a file. */
export function saveFile(content: Blob, name: string): void {
  const address = URL.createObjectURL(content);
  const a = document.createElement('a');
  a.href = address;
  a.download = name;
  a.click();
  URL.revokeObjectURL(address);
}
