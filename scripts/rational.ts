/** A figure as EXIF keeps it: times as one over so many, all else in tenths. */
export const rational = (value: number): [number, number] =>
  value < 1 ? [1, Math.round(1 / value)] : [Math.round(value * 10), 10];
