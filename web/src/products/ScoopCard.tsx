import { Box, Button } from '@chakra-ui/react';
import { evaluateScoop, scoopLine } from '@steady-scatter/core/loads';
import type { MassUnit } from '@steady-scatter/core/quantities';
import type { ProductInput } from '@steady-scatter/core/products';
import { Plus, X } from 'lucide-react';
import { say } from '@steady-scatter/words/shelf';
import type { DocFormProps } from '../documents/DocPage.tsx';
import { Choice } from '../ui/Choice.tsx';
import { DeleteButton } from '../ui/DeleteButton.tsx';
import { LabelledField } from '../ui/LabelledField.tsx';
import { StatedDefault } from '../ui/StatedDefault.tsx';
import { WorkingLine } from '../ui/WorkingLine.tsx';

const UNITS: readonly { id: MassUnit; label: string }[] = [
  { id: 'lb', label: 'lb' },
  { id: 'oz', label: 'oz' },
  { id: 'kg', label: 'kg' },
  { id: 'g', label: 'g' },
];

/** One's own scoop, weighed full of this product: amounts are then told in scoops too. */
export function ScoopCard({ input, errorAt, bind, field, set }: DocFormProps<ProductInput>) {
  const { scoop } = input;
  const { reading } = evaluateScoop(scoop, 'scoop');
  // There is always one empty weighing to type into.
  const weighings = scoop.weighings.length === 0 ? [''] : scoop.weighings;
  const text =
    scoop.name.trim() === '' && scoop.weighings.length === 0
      ? say('shelf.scoop.none')
      : say('shelf.scoop.named', {
          name: scoop.name.trim() || say('shelf.scoop.unnamed'),
          weighed: reading ? 'yes' : 'no',
        });
  const isWrong =
    errorAt('scoop.tare') !== undefined || weighings.some((_, index) => errorAt(`scoop.weighings.${index}`));
  return (
    <StatedDefault name={say('shelf.part.scoop')} text={text} isWrong={isWrong}>
      <Box gridColumn="1 / -1">
        <Box
          display="grid"
          gap="14px"
          gridTemplateColumns={{ base: '1fr 1fr', md: 'repeat(auto-fill, minmax(170px, 1fr))' }}
          alignItems="start"
        >
          <LabelledField
            label={say('shelf.scoop.name')}
            placeholder={say('shelf.scoop.nameHint')}
            {...bind('scoop.name')}
          />
          <LabelledField label={say('shelf.scoop.empty')} placeholder="0.12" {...field('scoop.tare')} />
          {weighings.map((value, index) => (
            <LabelledField
              // oxlint-disable-next-line react/no-array-index-key -- weighings have no other identity
              key={index}
              label={
                weighings.length === 1
                  ? say('shelf.scoop.full')
                  : say('shelf.scoop.fullAt', { number: index + 1 })
              }
              placeholder="1.05"
              value={value}
              error={errorAt(`scoop.weighings.${index}`)}
              onChange={(text) => set('scoop.weighings', weighings.with(index, text))}
              unit={
                weighings.length > 1 && (
                  <DeleteButton
                    act={say('shelf.settings.remove')}
                    name={say('shelf.scoop.weighing', { number: index + 1 })}
                    icon={X}
                    onDelete={() => set('scoop.weighings', weighings.toSpliced(index, 1))}
                  />
                )
              }
            />
          ))}
          <Choice label={say('shelf.scoop.unit')} options={UNITS} {...bind('scoop.unit')} />
        </Box>
        <Button
          variant="ghost"
          marginLeft="-10px"
          minHeight="44px"
          onClick={() => set('scoop.weighings', [...weighings, ''])}
        >
          <Plus size={18} /> {say('shelf.scoop.add')}
        </Button>
        {reading && <WorkingLine working={scoopLine(reading, scoop)} size="plain" />}
        {reading && reading.scatter === null && (
          <Box fontSize="15px" color="ink.soft">
            {say('shelf.scoop.one')}
          </Box>
        )}
      </Box>
    </StatedDefault>
  );
}
