import QRCode from 'qrcode';

/** Dark squares of a QR code as one path, and how many squares it has on a side. */
export interface Squares {
  readonly size: number;
  readonly path: string;
}
/** Squares that stay white around a code (ISO/IEC 18004). */
export const QUIET = 4;

/** Dark squares of the code as one path; null where there is no code that holds so much. */
export function squaresOf(text: string): Squares | null {
  try {
    const { modules } = QRCode.create(text, { errorCorrectionLevel: 'L' });
    const { size } = modules;
    const path = Array.from({ length: size * size }, (_, i) =>
      modules.get(Math.floor(i / size), i % size) ? `M${i % size} ${Math.floor(i / size)}h1v1h-1z` : '',
    ).join('');
    return { size, path };
  } catch {
    return null;
  }
}
