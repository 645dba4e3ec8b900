/** Resolves when messages that wait for this worker have been heard. */
export const nextTurn = (): Promise<void> => new Promise((resolve) => setTimeout(resolve));
