import { boundsOf, type Outline, type Point } from '@steady-scatter/core/ground';

/** How the ground is seen: pixels per metre, and where its zero lies on the canvas. */
export interface View {
  readonly scale: number;
  readonly left: number;
  readonly top: number;
}

export const toCanvas = ({ scale, left, top }: View, { x, y }: Point): Point => ({
  x: left + x * scale,
  y: top - y * scale,
});

export const toGround = ({ scale, left, top }: View, { x, y }: Point): Point => ({
  x: (x - left) / scale,
  y: (top - y) / scale,
});

const MARGIN = 46;
/** DisplayValue while nothing is drawn, m. */
const NOTHING = [{ x: 0, y: 0 }, { x: 12, y: 8 }]; // prettier-ignore

/** The view that shows all outlines, with room for dimensions round them. */
export function viewOf(outlines: readonly Outline[], width: number, height: number): View {
  const { minX, minY, maxX, maxY } = boundsOf(outlines.flat()) ?? boundsOf(NOTHING)!;
  const scale = Math.min(
    (width - 2 * MARGIN) / Math.max(maxX - minX, 0.5),
    (height - 2 * MARGIN) / Math.max(maxY - minY, 0.5),
  );
  return {
    scale,
    left: width / 2 - ((minX + maxX) / 2) * scale,
    top: height / 2 + ((minY + maxY) / 2) * scale,
  };
}

/** True while a view still shows everything and not too small: the drawing then stays where it is. */
export function stillFits(view: View, outlines: readonly Outline[], width: number, height: number): boolean {
  const bounds = boundsOf(outlines.flat());
  if (!bounds) return false;
  const a = toCanvas(view, { x: bounds.minX, y: bounds.maxY });
  const b = toCanvas(view, { x: bounds.maxX, y: bounds.minY });
  const inside = a.x >= 8 && a.y >= 8 && b.x <= width - 8 && b.y <= height - 8;
  return inside && Math.max((b.x - a.x) / width, (b.y - a.y) / height) > 0.5;
}

/** The next of 1, 2, 5, 10, 20 … that is not smaller. */
export function niceStep(least: number): number {
  const decade = 10 ** Math.floor(Math.log10(least));
  return [1, 2, 5, 10].map((factor) => factor * decade).find((step) => step >= least * 0.999) ?? 10 * decade;
}
