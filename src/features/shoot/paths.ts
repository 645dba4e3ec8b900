/** Which step an address is of, where the page around it differs. */

/** Whether the ground is being drawn. */
export const isDrawing = (path: string) => path.endsWith('/draw');
/** Whether the order of the day is looked at: then that is the answer. */
export const isDay = (path: string) => path.endsWith('/day');
/** Whether one shoots: then nothing else is on a phone's screen. */
export const isField = (path: string) => path.endsWith('/field');
/** Whether it is looked back: the pictures are what is seen then, not the plan. */
export const isLog = (path: string) => path.endsWith('/log');
