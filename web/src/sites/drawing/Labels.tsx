import { lengthUnitFor } from '@steady-scatter/core/fields';
import type { Outline, PartInput, SiteAreaInput } from '@steady-scatter/core/ground';
import { Label, Tag, Text } from 'react-konva';
import { dimensionsOf } from '@steady-scatter/core/drawing';
import { FIGURES, type Ink } from '../../charts/useInk.ts';
import { toCanvas, type View } from './view.ts';

interface Props {
  area: SiteAreaInput;
  outlines: readonly (readonly Outline[])[];
  /** Index of the chosen part, -1 without one. */
  chosen: number;
  view: View;
  ink: Ink;
}

/** More parts than these show their dimensions only when chosen. */
const MAX_PARTS = 8;
/** More corners than these are not numbered. */
const MAX_CORNERS = 60;
/** Narrowest that a letter may stand, px. */
const LETTER_PX = 5.2;

const isRound = ({ kind }: PartInput): boolean => ['circle', 'half-circle', 'ellipse', 'ring'].includes(kind);

/** Lengths at their sides. */
function Dimensions({ area, outlines, chosen, view, ink }: Props) {
  const unit = lengthUnitFor(area.shownIn);
  const shown = area.parts.flatMap((part, index) => {
    // The yellow point of a chosen curve stands where its width would be written.
    const isHidden = index === chosen ? isRound(part) : area.parts.length > MAX_PARTS;
    return isHidden ? [] : dimensionsOf(part, outlines[index]?.[0] ?? [], unit);
  });
  return shown
    .filter(({ text, lengthM }) => lengthM * view.scale > text.length * LETTER_PX)
    .map(({ at, text }) => {
      const { x, y } = toCanvas(view, at);
      return (
        <Label key={`${x},${y}`} x={x} y={y - 10} offsetX={text.length * 3.9}>
          <Tag fill={ink.paper} cornerRadius={3} opacity={0.86} />
          <Text text={text} fontSize={15} fontFamily={FIGURES} fill={ink.ink} padding={2} />
        </Label>
      );
    });
}

/** Corners of the chosen part by their number, where an edge runs from one to another. */
function CornerNumbers({ area, outlines, chosen, view, ink }: Props) {
  const corners = outlines[chosen]?.[0] ?? [];
  if (corners.length > MAX_CORNERS || !area.edges.some(({ along }) => along === 'side')) return null;
  return corners.map((corner, index) => {
    const { x, y } = toCanvas(view, corner);
    return (
      <Text
        // oxlint-disable-next-line react/no-array-index-key -- corners are known by their number
        key={index}
        x={x + 10}
        y={y - 22}
        text={String(index + 1)}
        fontSize={15}
        fontStyle="bold"
        fontFamily={FIGURES}
        fill={ink.water}
      />
    );
  });
}

/** What is written on a drawing. */
export const Labels = (props: Props) => (
  <>
    <Dimensions {...props} />
    <CornerNumbers {...props} />
  </>
);
