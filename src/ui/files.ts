/** Hands the browser something to save as a file. */
export function downloadBlob(name: string, blob: Blob): void {
  const url = URL.createObjectURL(blob);
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  URL.revokeObjectURL(url);
}

/** As {@link downloadBlob}, a text. */
export const downloadText = (name: string, text: string, type: string): void =>
  downloadBlob(name, new Blob([text], { type }));

/** Asks for files; resolves to none when the person changes their mind. */
export function chooseFiles(accept: string, several = true): Promise<readonly File[]> {
  return new Promise((resolve) => {
    const input = document.createElement('input');
    input.type = 'file';
    input.accept = accept;
    input.multiple = several;
    input.addEventListener('change', () => resolve([...(input.files ?? [])]));
    input.addEventListener('cancel', () => resolve([]));
    input.click();
  });
}

/** As {@link chooseFiles}, one. */
export const chooseFile = async (accept: string): Promise<File | undefined> =>
  (await chooseFiles(accept, false))[0];
