import { QUIET, type Squares } from './squares';

/** A QR code, black on white whatever the colours of the page are: a camera reads it. */
export function QrCode({ name, squares }: { name: string; squares: Squares }) {
  const size = squares.size + 2 * QUIET;
  return (
    <svg
      viewBox={`${-QUIET} ${-QUIET} ${size} ${size}`}
      className="size-full"
      role="img"
      aria-label={`QR code of ${name}`}
      shapeRendering="crispEdges"
    >
      <rect x={-QUIET} y={-QUIET} width={size} height={size} fill="#fff" />
      <path d={squares.path} fill="#000" />
    </svg>
  );
}
