import { PRODUCT_KINDS, type ProductKind } from '../products/product.ts';
import { rigKind, type RigKind } from '../machines/kinds.ts';

/** The acts of a test that cautions belong to. */
export type Command = 'fill' | 'meter' | 'walk' | 'sweep';

interface Situation {
  readonly rig: RigKind;
  /** Null: the product is not on the shelf. */
  readonly product: ProductKind | null;
}

const DRIVEN = 2;

/**
 * What to mind at an act of a test, a line each; they defer to the label, local codes and licensed practice.
 *
 * @example cautionsFor('meter', { rig: 'vehicle', product: 'dry-deicer' })[0] // 'Lock out the drives before hands go near a meter.'
 */
export function cautionsFor(act: Command, { rig, product }: Situation): string[] {
  const isPesticide = product === 'granular-carrier';
  const isDeicer = product !== null && PRODUCT_KINDS[product].puts === 'de-icer';
  const isDriven = rigKind(rig).pace[1] > DRIVEN;
  const LINES: Readonly<Record<Command, readonly (string | false)[]>> = {
    fill: [
      'Read the label first; gloves and eyes, and a mask where it dusts.',
      'Lift a full bag with your knees, or in two halves.',
      isPesticide && 'A pesticide carrier only as its label and your licence allow.',
      'Shut the gate before filling, on a floor that can be swept.',
    ],
    meter: [
      isDriven && 'Lock out the drives before hands go near a meter.',
      'Hands out of the hopper while anything can turn.',
    ],
    walk: [
      isDeicer ? 'Keep off water, drains and beds.' : 'Keep off water, drains and pavement.',
      isDeicer
        ? 'Keep people off the strip until it is swept.'
        : 'Use fresh ground for each run: one strip twice has double, and may burn in heat.',
      isPesticide && 'Keep children and animals off until the label allows.',
    ],
    sweep: [
      'Sweep strays off pavement and put them back.',
      isPesticide && 'What was caught is still pesticide: keep it in its own marked container.',
    ],
  };
  return LINES[act].filter((line) => line !== false);
}
