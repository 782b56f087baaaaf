import { Box, chakra } from '@chakra-ui/react';
import type { InputError } from '@steady-scatter/core/errors';
import type { MixInput } from '@steady-scatter/core/mix';
import { NUTRIENTS, SOIL_NUTRIENTS, statedForm } from '@steady-scatter/core/need';
import { UNITS } from '@steady-scatter/core/quantities';
import { nameOf, say } from '@steady-scatter/words/shelf';
import { fieldsOfPart } from '../documents/fields.ts';
import { fieldBox } from '../ui/fieldBox.ts';
import { errorId, FieldErrors } from '../ui/FieldErrors.tsx';

const Field = chakra('input', {
  base: { ...fieldBox, width: '100%', minWidth: { base: '84px', md: '110px' } },
});
const cell = { padding: '4px 10px 4px 0', verticalAlign: 'middle', textAlign: 'left' } as const;

interface Props {
  input: MixInput;
  errorAt(field: string): InputError | undefined;
  onChange(needs: MixInput['needs']): void;
}

type Part = 'amount' | 'most' | 'before';
const LABELS: Readonly<Record<Part, { words: string; placeholder: string }>> = {
  amount: { words: say('shelf.need.of'), placeholder: say('shelf.need.notAsked') },
  most: { words: say('shelf.need.most'), placeholder: say('shelf.need.noLimit') },
  before: { words: say('shelf.need.already'), placeholder: '0' },
};

const isZero = (text: string): boolean => /^\s*0+([.,]0*)?\s*$/.test(text);

/** What the ground needs of each nutrient, and the most that may come. A 0 means none, unless it is waived. */
export function NeedTable({ input, errorAt, onChange }: Props) {
  const { needs, form, unit } = input;
  const { set } = fieldsOfPart(needs, onChange, errorAt);
  // What was put down before matters to rules alone.
  const byRules = input.ruleSetId !== '';
  const parts: readonly Part[] = byRules ? ['amount', 'most', 'before'] : ['amount', 'most'];
  return (
    <>
      <chakra.table width="100%" fontSize="16px" maxWidth="640px">
        <chakra.thead fontSize="14px" color="ink.soft">
          <tr>
            <chakra.th scope="col" {...cell}>
              {say('shelf.need.nutrient')}
            </chakra.th>
            <chakra.th scope="col" {...cell}>
              <chakra.span whiteSpace={{ md: 'nowrap' }}>
                {say('shelf.need.heading', { unit: UNITS[unit].symbol })}
              </chakra.span>
            </chakra.th>
            <chakra.th scope="col" {...cell}>
              {say('shelf.need.atMost')}
            </chakra.th>
            {byRules && (
              <chakra.th scope="col" {...cell}>
                {say('shelf.need.alreadyHeading')}
              </chakra.th>
            )}
            <td />
          </tr>
        </chakra.thead>
        <tbody>
          {SOIL_NUTRIENTS.map((id) => {
            const nutrient = statedForm(id, form);
            const { symbol } = NUTRIENTS[nutrient];
            const name = nameOf('nutrient', nutrient);
            const row = needs[id];
            return (
              <tr key={id}>
                <chakra.th scope="row" {...cell} fontWeight="semibold" whiteSpace={{ md: 'nowrap' }}>
                  {symbol}
                  <chakra.span color="ink.soft" fontWeight="medium" hideBelow="md">
                    , {name}
                  </chakra.span>
                </chakra.th>
                {parts.map((part) => {
                  const error = errorAt(`needs.${id}.${part}`);
                  return (
                    <chakra.td key={part} {...cell}>
                      <Field
                        aria-label={`${LABELS[part].words} ${name}`}
                        placeholder={LABELS[part].placeholder}
                        value={row[part]}
                        aria-invalid={error !== undefined}
                        aria-describedby={errorId(error)}
                        onChange={(event) => set(`${id}.${part}`, event.target.value)}
                      />
                    </chakra.td>
                  );
                })}
                <chakra.td {...cell} fontSize="15px">
                  {isZero(row.amount) && (
                    <chakra.label
                      display="inline-flex"
                      alignItems="center"
                      gap="8px"
                      minHeight="44px"
                      cursor="pointer"
                    >
                      <chakra.input
                        type="checkbox"
                        width="20px"
                        height="20px"
                        accentColor="act"
                        checked={row.waived}
                        onChange={(event) => set(`${id}.waived`, event.target.checked)}
                      />
                      {say('shelf.need.takeAny')}
                    </chakra.label>
                  )}
                </chakra.td>
              </tr>
            );
          })}
        </tbody>
      </chakra.table>
      <Box>
        {SOIL_NUTRIENTS.flatMap((id) =>
          parts.map((part) => (
            <FieldErrors
              key={`${id}.${part}`}
              error={errorAt(`needs.${id}.${part}`)}
              input={needs[id][part]}
              onUse={(text) => set(`${id}.${part}`, text)}
            />
          )),
        )}
      </Box>
    </>
  );
}
