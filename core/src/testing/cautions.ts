import { message, type Message } from '../messages/message.ts';
import { PRODUCT_KINDS, type ProductKind } from '../products/product.ts';
import { rigKind, type RigKind } from '../machines/kinds.ts';

/** The acts of a test that cautions belong to. */
export type Command = 'fill' | 'meter' | 'walk' | 'sweep';

interface Situation {
  readonly rig: RigKind;
  /** Null: the product is not on the shelf. */
  readonly product: ProductKind | null;
  /** What is tested is sprayed. */
  readonly sprays?: boolean;
}

const DRIVEN = 2;

/**
 * What to mind at an act of a test, each; they defer to the label, local codes and licensed practice.
 *
 * @example cautionsFor('meter', { rig: 'vehicle', product: 'dry-deicer' })[0].id // 'cautions.lockOut'
 */
export function cautionsFor(act: Command, { rig, product, sprays = false }: Situation): Message[] {
  const isPesticide = product === 'granular-carrier';
  const isDeicer = product !== null && PRODUCT_KINDS[product].puts === 'de-icer';
  const isDriven = rigKind(rig).pace[1] > DRIVEN;
  const wet: Readonly<Record<Command, readonly Message[]>> = {
    fill: [message('cautions.labelWet'), message('cautions.cleanWater')],
    meter: [message('cautions.splash')],
    walk: [message('cautions.drift')],
    sweep: [message('cautions.pourBack')],
  };
  if (sprays) return [...wet[act]];
  const LINES: Readonly<Record<Command, readonly (Message | false)[]>> = {
    fill: [
      message('cautions.label'),
      message('cautions.lift'),
      isPesticide && message('cautions.pesticideLabel'),
      message('cautions.gateShut'),
    ],
    meter: [isDriven && message('cautions.lockOut'), message('cautions.hands')],
    walk: [
      isDeicer ? message('cautions.keepOffWinter') : message('cautions.keepOff'),
      isDeicer ? message('cautions.keepPeopleOff') : message('cautions.freshGround'),
      isPesticide && message('cautions.keepChildrenOff'),
    ],
    sweep: [message('cautions.sweep'), isPesticide && message('cautions.stillPesticide')],
  };
  return LINES[act].filter((line) => line !== false);
}
