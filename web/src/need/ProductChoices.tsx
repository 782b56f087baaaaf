import { systemOf } from '@steady-scatter/core/quantities';
import { Box, chakra } from '@chakra-ui/react';
import { blankProduct, PRODUCT_KIND_IDS, type ProductInput } from '@steady-scatter/core/products';
import { withProduct, type Replaced, type WorksheetInput } from '@steady-scatter/core/worksheet';
import { useState } from 'react';
import { nameOf, say } from '@steady-scatter/words/sheet';
import { explain } from '../api/explain.ts';
import { useSheetForm } from '../sheet/sheet.tsx';
import { useSheetChange } from '../sheet/useSheetChange.ts';
import { fetchDoc } from '../documents/docs.ts';
import { useChoices } from '../documents/useChoices.ts';
import { PRODUCTS } from '../kinds/useProducts.ts';
import { fieldBox } from '../ui/fieldBox.ts';
import type { PanelPlace } from '../ui/PanelButton.tsx';
import { SmallPanel } from '../ui/SmallPanel.tsx';

const Search = chakra('input', { base: { ...fieldBox, width: '100%', marginBottom: '6px' } });
const Choice = chakra('button', {
  base: {
    display: 'block',
    width: '100%',
    padding: '8px 10px',
    minHeight: '40px',
    borderRadius: '6px',
    textAlign: 'left',
    cursor: 'pointer',
    _hover: { bg: 'soft' },
    '@media (pointer: coarse)': { minHeight: '48px' },
  },
});

const MAX_SHOWN = 40;

const FACT_WORDS: Readonly<Record<Replaced['fact'], string>> = {
  grade: say('sheet.product.grade'),
  load: say('sheet.product.load'),
  slowShare: say('sheet.product.slowShare'),
  density: say('sheet.product.density'),
  package: say('sheet.product.package'),
  coverage: say('sheet.product.coverage'),
  price: say('sheet.product.price'),
};

/** A product that was picked and would replace what was typed by hand. */
interface Asked {
  readonly sheet: WorksheetInput;
  readonly replaced: readonly Replaced[];
  readonly told: string;
}

/** Puts a product from the shelf on the sheet, its label as it stands now; or an empty label of another kind. */
export default function ProductChoices({ place }: { place: PanelPlace }) {
  const { value, onChange, found, total, hasCome, error } = useChoices(PRODUCTS, ({ name, grade }) => `${name} ${grade}`); // prettier-ignore
  const [trouble, setTrouble] = useState<string | null>(null);
  const form = useSheetForm();
  const change = useSheetChange();
  const more = (total ?? found.length) - MAX_SHOWN;

  const [asked, setAsked] = useState<Asked | null>(null);
  const put = ({ sheet, told }: Omit<Asked, 'replaced'>) => {
    change(sheet, told);
    place.close();
  };
  const take = (product: ProductInput, told: string) => {
    const { sheet, replaced } = withProduct(form.getValues('worksheet'), product);
    if (replaced.length === 0) put({ sheet, told });
    else setAsked({ sheet, replaced, told });
  };
  const pick = (id: string) =>
    void fetchDoc(PRODUCTS, id).then(
      ({ input: product }) => take(product, say('sheet.product.taken', { name: product.name })),
      (failed: unknown) => setTrouble(explain(failed)),
    );
  const system = systemOf(form.getValues('worksheet.need.unit'));

  if (asked)
    return (
      <SmallPanel place={place} label={say('sheet.product.choices')} width="340px">
        <Box fontSize="16px" marginBottom="10px">{say('sheet.product.differs', { facts: asked.replaced.map(({ fact, from, to }) => say('sheet.product.factChanged', { fact: FACT_WORDS[fact], to, from })).join('; ') })}</Box>
        <Choice type="button" autoFocus onClick={() => put(asked)}>{say('sheet.product.takeLabel')}</Choice>
        <Choice type="button" onClick={() => place.close()}>{say('sheet.product.keepSheet')}</Choice>
      </SmallPanel>
    ); // prettier-ignore
  return (
    <SmallPanel place={place} label={say('sheet.product.choices')} width="340px">
      {trouble && (
        <Box role="alert" marginBottom="8px">
          {trouble}
        </Box>
      )}
      {error && !hasCome ? (
        <Box marginBottom="8px">{explain(error)}</Box>
      ) : (
        <Search
          autoFocus
          type="search"
          aria-label={say('sheet.product.search')}
          placeholder={say('sheet.product.searchHint')}
          value={value}
          onChange={(event) => onChange(event.target.value)}
        />
      )}
      {found.slice(0, MAX_SHOWN).map(({ id, name }) => (
        <Choice key={id} type="button" onClick={() => pick(id)}>
          {name}
        </Choice>
      ))}
      {more > 0 && (
        <Box fontSize="14px" color="ink.soft" padding="6px 10px">
          {say('sheet.product.more', { more })}
        </Box>
      )}
      <Box fontSize="14px" color="ink.soft" padding="10px 10px 2px">
        {say('sheet.product.empty')}
      </Box>
      {PRODUCT_KIND_IDS.map((kind) => (
        <Choice
          key={kind}
          type="button"
          onClick={() =>
            take(blankProduct(kind, system), say('sheet.product.emptied', { kind: nameOf('product', kind) }))
          }
        >
          {nameOf('product', kind)}
        </Choice>
      ))}
    </SmallPanel>
  );
}
