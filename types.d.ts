/// <reference types="expo/types" />
/// <reference types="nativewind/types" />

declare module 'open-location-code' {
  export class OpenLocationCode {
    isValid(code: string): boolean;
    isFull(code: string): boolean;
    encode(latitudeDeg: number, longitudeDeg: number, codeLength?: number): string;
    decode(code: string): {
      readonly latitudeCenter: number;
      readonly longitudeCenter: number;
    };
  }
}
