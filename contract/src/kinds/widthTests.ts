import { evaluateWidthTest, SPACING_METHODS, widthTestInput, widthTestUpgrades, type WidthTestInput } from '@steady-scatter/core/width'; // prettier-ignore
import * as z from 'zod';
import { dayColumn, flagColumn, idColumn, kindOf, whole, shortText, siColumn, type Column } from './kind.ts';

const spacingMethod: Column<WidthTestInput['spacingMethod']> = { type: 'text', schema: z.enum(SPACING_METHODS) }; // prettier-ignore

/** How far machines throw, and how far apart to pass. */
export const widthTests = kindOf({
  name: 'widthTests',
  path: '/api/width-tests',
  schema: widthTestInput,
  upgrades: widthTestUpgrades,
  evaluate: (input: WidthTestInput) => evaluateWidthTest(input),
  columns: {
    rig: idColumn,
    onDay: dayColumn,
    product: shortText,
    spacingMethod,
    deflector: flagColumn,
    throwM: siColumn,
    recommendedM: siColumn,
    lengthUnit: shortText,
    /** The spacing that was accepted, and since when; empty: none. */
    accepted: shortText,
    acceptedUnit: shortText,
    acceptedOn: dayColumn,
  },
  sort: 'name',
  summarise: ({ rig, onDay, product, accepted, layout, ...input }, { throwM, recommendedM }) => ({
    rig,
    onDay,
    product,
    spacingMethod: input.spacingMethod,
    deflector: input.deflector,
    throwM,
    recommendedM,
    lengthUnit: layout.unit,
    accepted: accepted?.text ?? '',
    acceptedUnit: accepted?.unit ?? '',
    acceptedOn: accepted?.onDay ?? '',
  }),
  nameOf: ({ name }) => name,
  textsOf: ({ product, notes }) => whole([product, notes]),
  linksOf: ({ rig, calibration, before }) => whole([rig, calibration, before]),
});
