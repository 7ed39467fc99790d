/** Hands a text as a file to another program of this device, or saves it where there is no way to share. */
export async function shareText(name: string, text: string, type = 'text/plain'): Promise<void> {
  const file = new File([text], name, { type });
  if (!navigator.canShare?.({ files: [file] })) return saveFile(name, text, type);
  // Whoever thinks better of it keeps what is there.
  await navigator.share({ files: [file] }).catch(() => undefined);
}

/** Saves a text as a file of this device. */
export function saveFile(name: string, text: string, type: string): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(new Blob([text], { type }));
  link.download = name;
  link.click();
  URL.revokeObjectURL(link.href);
}
