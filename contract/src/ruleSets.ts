import { NUTRIENT_IDS } from '@steady-scatter/core/need';
import { evaluateRuleSet, RULE_KIND_IDS } from '@steady-scatter/core/season';
import * as z from 'zod';
import { addInputErrors, once } from './inputIssues.ts';
import { keptOf, writeOf } from './kept.ts';
import { massRateUnit, typedText as text } from './units.ts';

/** The rules of one place, as the crew typed them in. */
export const ruleSetShape = z.strictObject({
  name: text,
  source: z.string().max(4000),
  unit: massRateUnit,
  rules: z
    .array(
      z.strictObject({
        id: z.uuid(),
        kind: z.enum(RULE_KIND_IDS),
        nutrient: z.enum(NUTRIENT_IDS),
        amount: text,
        from: text,
        to: text,
      }),
    )
    .max(60)
    .readonly(),
});

export const ruleSetResult = once(evaluateRuleSet);

/** The same as it may be kept: what is in it can be read. */
export const ruleSetInput = ruleSetShape.superRefine((typed, context) =>
  addInputErrors(context, ruleSetResult(typed).errors),
);

export const ruleSetWrite = writeOf(ruleSetInput);
export const ruleSet = keptOf(ruleSetShape);

export type RuleSet = z.infer<typeof ruleSet>;
export type RuleSetWrite = z.infer<typeof ruleSetWrite>;
