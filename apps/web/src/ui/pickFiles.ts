/** Lets the user choose files, or a whole folder; none where they choose none. */
export function pickFiles(accept: string, folder = false): Promise<File[]> {
  return new Promise((resolve) => {
    const input = document.createElement('input');
    input.type = 'file';
    input.multiple = true;
    input.accept = accept;
    input.webkitdirectory = folder;
    input.style.display = 'none';
    const done = () => {
      resolve([...(input.files ?? [])]);
      input.remove();
    };
    input.onchange = done;
    input.oncancel = done;
    document.body.append(input);
    input.click();
  });
}

/** All files that were dropped, those in folders too. */
export async function droppedFiles(data: DataTransfer): Promise<File[]> {
  // Entries are gone after the event: taken before the first wait.
  const entries = [...data.items].flatMap((item) => item.webkitGetAsEntry() ?? []);
  if (entries.length === 0) return [...data.files];
  return (await Promise.all(entries.map(filesBelow))).flat();
}

async function filesBelow(entry: FileSystemEntry): Promise<File[]> {
  if (entry.isFile)
    return [
      await new Promise<File>((resolve, reject) =>
        (entry as FileSystemFileEntry).file(resolve, reject),
      ),
    ];
  const reader = (entry as FileSystemDirectoryEntry).createReader();
  const files: File[] = [];
  // A folder is given in parts, until a part is empty.
  for (;;) {
    const part = await new Promise<FileSystemEntry[]>((resolve, reject) =>
      reader.readEntries(resolve, reject),
    );
    if (part.length === 0) return files;
    files.push(...(await Promise.all(part.map(filesBelow))).flat());
  }
}
