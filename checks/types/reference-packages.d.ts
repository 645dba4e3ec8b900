/** The parts used here of reference packages that ship no types. */
declare module 'bessel' {
  export function besselj(x: number, order: number): number;
}
declare module 'jstat' {
  export const jStat: {
    erf: (x: number) => number;
    chisquare: { inv: (p: number, degrees: number) => number };
    studentt: { inv: (p: number, degrees: number) => number };
    mean: (values: readonly number[]) => number;
    stdev: (values: readonly number[], ofSample?: boolean) => number;
  };
}
declare module 'geographiclib-geodesic' {
  const geographiclib: {
    Geodesic: {
      WGS84: {
        Inverse: (
          fromLatitude: number,
          fromLongitude: number,
          toLatitude: number,
          toLongitude: number,
        ) => { s12: number; azi1: number };
        Direct: (
          latitude: number,
          longitude: number,
          azimuth: number,
          distanceM: number,
        ) => { lat2: number; lon2: number };
      };
    };
  };
  export default geographiclib;
}
declare module 'piexifjs' {
  type Tags = Record<number, unknown>;
  const piexif: {
    dump: (exif: Record<string, Tags | string>) => string;
    insert: (exif: string, jpeg: string) => string;
    load: (jpeg: string) => { readonly '1st'?: Tags; readonly thumbnail?: string };
    ImageIFD: {
      readonly Model: number;
      readonly DateTime: number;
      readonly Rating: number;
      readonly Orientation: number;
      readonly Compression: number;
    };
    ExifIFD: {
      readonly DateTimeOriginal: number;
      readonly SubSecTimeOriginal: number;
      readonly ExposureTime: number;
      readonly FNumber: number;
      readonly ISOSpeedRatings: number;
      readonly FocalLength: number;
      readonly PixelXDimension: number;
      readonly PixelYDimension: number;
    };
  };
  export default piexif;
}
