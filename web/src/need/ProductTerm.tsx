import { lazyPart } from '../ui/lazyPart.ts';
import { Box } from '@chakra-ui/react';
import { ChevronDown } from 'lucide-react';

import { useWatch } from 'react-hook-form';
import { say } from '@steady-scatter/words/sheet';
import { useSheetForm } from '../sheet/sheet.tsx';
import { PanelButton } from '../ui/PanelButton.tsx';

const ProductChoices = lazyPart(() => import('./ProductChoices.tsx'));

/** The product of the sheet by its name, and the door to the shelf. */
export function ProductTerm() {
  const name = useWatch({ control: useSheetForm().control, name: 'worksheet.product.name' });
  return (
    <Box marginTop="4px" fontSize="16px" data-noprint={name === '' ? '' : undefined}>
      <PanelButton
        marginLeft="-3px"
        aria-label={name ? say('sheet.product.change', { name }) : undefined}
        renderPanel={(place) => <ProductChoices place={place} />}
      >
        {name || say('sheet.product.choose')}
        <ChevronDown size={16} aria-hidden />
      </PanelButton>
    </Box>
  );
}
