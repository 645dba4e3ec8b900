/** What the browser says of the room there is for records, and how long it keeps them. */

let asked = false;
/** Asks the browser once not to clear what is kept here when it runs short; it may decide by itself. */
export function askToKeep(): void {
  if (asked) return;
  asked = true;
  const storage = (globalThis as { readonly navigator?: Navigator }).navigator?.storage;
  storage?.persist?.().catch(() => undefined);
}

/** How much is in use of how much there is, bytes; nothing where the browser does not say. */
export async function storageUse(): Promise<{
  readonly used: number;
  readonly room: number;
} | null> {
  const storage = (globalThis as { readonly navigator?: Navigator }).navigator?.storage;
  const { usage, quota } = (await storage?.estimate?.()) ?? {};
  return usage !== undefined && quota ? { used: usage, room: quota } : null;
}
