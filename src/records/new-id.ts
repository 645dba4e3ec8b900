import { nanoid } from 'nanoid';

/** An id that nothing else has. */
export const newId = (): string => nanoid(12);
