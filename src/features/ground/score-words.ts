/** "81 of 100". */
export const outOfHundred = (total: number): string => `${Math.round(total * 100)} of 100`;
