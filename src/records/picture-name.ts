/** Longest name that file systems allow. */
export const LONGEST_NAME = 255;
