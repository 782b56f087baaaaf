import { Box, chakra } from '@chakra-ui/react';
import {
  NUTRIENTS,
  SOIL_NUTRIENTS,
  statedForm,
  UNITS,
  type InputError,
  type MixTyped,
} from '@steady-scatter/core';
import { fieldBox } from '../ui/fieldBox.ts';
import { errorId, FieldErrors } from '../ui/FieldErrors.tsx';

const Field = chakra('input', {
  base: { ...fieldBox, width: '100%', minWidth: { base: '84px', md: '110px' } },
});
const cell = { padding: '4px 10px 4px 0', verticalAlign: 'middle', textAlign: 'left' } as const;

interface Props {
  typed: MixTyped;
  errorAt(field: string): InputError | undefined;
  onChange(needs: MixTyped['needs']): void;
}

const isZero = (text: string): boolean => /^\s*0+([.,]0*)?\s*$/.test(text);

/** What the ground needs of each nutrient, and the most that may come. A 0 means none, unless it is waived. */
export function NeedTable({ typed, errorAt, onChange }: Props) {
  const { needs, form, unit } = typed;
  return (
    <>
      <chakra.table width="100%" fontSize="16px" maxWidth="640px">
        <chakra.thead fontSize="14px" color="ink.soft">
          <tr>
            <chakra.th scope="col" {...cell}>
              Nutrient
            </chakra.th>
            <chakra.th scope="col" {...cell}>
              <chakra.span whiteSpace="nowrap">Need, {UNITS[unit].symbol}</chakra.span>
            </chakra.th>
            <chakra.th scope="col" {...cell}>
              At most
            </chakra.th>
            <td />
          </tr>
        </chakra.thead>
        <tbody>
          {SOIL_NUTRIENTS.map((id) => {
            const { symbol, name } = NUTRIENTS[statedForm(id, form)];
            const row = needs[id];
            const set = (more: Partial<typeof row>) => onChange({ ...needs, [id]: { ...row, ...more } });
            const [needError, mostError] = [errorAt(`needs.${id}.amount`), errorAt(`needs.${id}.most`)];
            return (
              <tr key={id}>
                <chakra.th scope="row" {...cell} fontWeight="semibold" whiteSpace="nowrap">
                  {symbol}
                  <chakra.span color="ink.soft" fontWeight="medium" hideBelow="md">
                    , {name}
                  </chakra.span>
                </chakra.th>
                <chakra.td {...cell} width="150px">
                  <Field
                    aria-label={`Need of ${name}`}
                    placeholder="not asked"
                    value={row.amount}
                    aria-invalid={needError !== undefined}
                    aria-describedby={errorId(needError)}
                    onChange={(event) => set({ amount: event.target.value })}
                  />
                </chakra.td>
                <chakra.td {...cell} width="120px">
                  <Field
                    aria-label={`Most ${name}`}
                    placeholder="no limit"
                    value={row.most}
                    aria-invalid={mostError !== undefined}
                    aria-describedby={errorId(mostError)}
                    onChange={(event) => set({ most: event.target.value })}
                  />
                </chakra.td>
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
                        onChange={(event) => set({ waived: event.target.checked })}
                      />
                      take what comes
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
          (['amount', 'most'] as const).map((part) => (
            <FieldErrors
              key={`${id}.${part}`}
              error={errorAt(`needs.${id}.${part}`)}
              typed={needs[id][part]}
              onUse={(text) => onChange({ ...needs, [id]: { ...needs[id], [part]: text } })}
            />
          )),
        )}
      </Box>
    </>
  );
}
