import { create } from 'qrcode';
import { useMemo } from 'react';

/** A QR code as a drawing; black on white whatever the theme, so that cameras read it. */
export function QrCode({ text, label }: { text: string; label: string }) {
  const { path, size } = useMemo(() => {
    const { modules } = create(text, { errorCorrectionLevel: 'M' });
    const squares = Array.from(modules.data, (dark, index) =>
      dark ? `M${index % modules.size} ${Math.floor(index / modules.size)}h1v1h-1z` : '',
    );
    return { path: squares.join(''), size: modules.size };
  }, [text]);
  return (
    <svg
      viewBox={`-2 -2 ${size + 4} ${size + 4}`}
      width="100%"
      role="img"
      aria-label={label}
      shapeRendering="crispEdges"
    >
      <rect x="-2" y="-2" width={size + 4} height={size + 4} fill="#fff" />
      <path d={path} fill="#000" />
    </svg>
  );
}
