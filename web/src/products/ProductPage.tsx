import { Box, Button, chakra } from '@chakra-ui/react';
import type { Product } from '@steady-scatter/contract';
import { blankProduct, readProduct, type ProductTyped } from '@steady-scatter/core';
import { RotateCcw, Scale, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { useForm, useWatch } from 'react-hook-form';
import { useNavigate, useParams } from 'react-router';
import { v7 as newId } from 'uuid';
import { useActs } from '../acts/ActsProvider.tsx';
import { ApiProblem } from '../api/errors.ts';
import { explain } from '../api/explain.ts';
import { usePreferences } from '../settings/PreferencesProvider.tsx';
import { ActButton } from '../ui/ActButton.tsx';
import { Message } from '../ui/Message.tsx';
import { useNotices } from '../ui/notices.tsx';
import { TopBar } from '../ui/TopBar.tsx';
import { ProductForm } from './ProductForm.tsx';
import { dropHeldProduct, heldProduct, useHoldProduct } from './useProductDraft.ts';
import { useProduct, useProductActs } from './useProducts.ts';
import { SampleBadge } from '../ui/SampleBadge.tsx';

interface Keeping {
  product: Product | null;
  typed: ProductTyped;
  replace(typed: ProductTyped): void;
}

/** Keeping a product, deleting it, and deciding when somebody else changed it. */
function useKeepProduct({ product, typed, replace }: Keeping) {
  const { keep, remove, restore, adopt } = useProductActs();
  const notices = useNotices();
  const navigate = useNavigate();
  const [freshId] = useState(() => newId());
  const [theirs, setTheirs] = useState<Product | null>(null);

  async function write(version: number) {
    const id = product?.id ?? freshId;
    try {
      const kept = await keep.mutateAsync({ id, write: { version, typed } });
      dropHeldProduct(product?.id ?? null);
      setTheirs(null);
      notices.tell(`“${kept.typed.name}” is on the shelf.`);
      if (!product) await navigate(`/shelf/${id}`, { replace: true });
    } catch (error) {
      const met = error instanceof ApiProblem ? error.changedElsewhere?.theirs : null;
      if (met && 'typed' in met) setTheirs(met);
      else notices.tell(explain(error));
    }
  }

  return {
    isPending: keep.isPending,
    theirs,
    keep: () => void write(product?.version ?? 0),
    keepMine: (over: Product) => void write(over.version),
    async takeTheirs(taken: Product) {
      await adopt(taken);
      replace(taken.typed);
      dropHeldProduct(taken.id);
      setTheirs(null);
      notices.undoable('Took theirs.', () => replace(typed));
    },
    drop(kept: ProductTyped) {
      replace(kept);
      dropHeldProduct(product?.id ?? null);
      notices.undoable('Dropped what was not kept.', () => replace(typed));
    },
    async remove({ id, typed: { name } }: Product) {
      try {
        await remove.mutateAsync(id);
        dropHeldProduct(id);
        notices.undoable(`Took “${name}” off the shelf.`, () => restore.mutate(id));
        await navigate('/shelf');
      } catch (error) {
        notices.tell(explain(error));
      }
    },
  };
}

const Elsewhere = ({ theirs, onMine, onTheirs }: { theirs: Product; onMine(): void; onTheirs(): void }) => (
  <Box
    role="alert"
    bg="paper"
    borderWidth="2px"
    borderColor="warn"
    borderRadius="8px"
    padding="14px"
    marginBottom="18px"
  >
    <b>Changed elsewhere.</b> Somebody kept this product as “{theirs.typed.name}”
    {theirs.typed.grade && `, ${theirs.typed.grade}`} since you opened it.
    <Box display="flex" gap="10px" marginTop="10px">
      <Button onClick={onTheirs}>Take theirs</Button>
      <Button onClick={onMine}>Keep mine</Button>
    </Box>
  </Box>
);

function ProductSheet({ product }: { product: Product | null }) {
  const { units } = usePreferences().preferences;
  const navigate = useNavigate();
  const id = product?.id ?? null;
  const [blank] = useState(() => blankProduct('dry-fertilizer', units.area === 'm2' ? 'metric' : 'us'));
  const kept = product?.typed ?? blank;
  const form = useForm<{ typed: ProductTyped }>({ defaultValues: { typed: heldProduct(id) ?? kept } });
  const typed = useWatch({ control: form.control, name: 'typed' });
  const replace = (next: ProductTyped) => form.setValue('typed', next, { shouldDirty: true });
  const [tried, setTried] = useState(false);
  const differs = JSON.stringify(typed) !== JSON.stringify(kept);
  useHoldProduct(id, typed, differs);
  const keeping = useKeepProduct({ product, typed, replace });
  const { errors } = readProduct(typed);
  // A name is asked for when it is kept, not while the label is being typed.
  const shown = errors.filter(({ code }) => tried || code !== 'name.empty');

  const keep = () => {
    setTried(true);
    const [first] = errors;
    if (!first) keeping.keep();
    else setTimeout(() => document.querySelector<HTMLElement>('[aria-invalid=true]')?.focus());
  };
  useActs([{ id: 'keep-product', label: 'Keep this product', keys: 'Ctrl+S', run: keep }]);
  const isKept = product !== null && !differs;

  return (
    <>
      <title>{`${typed.name || 'New product'} · Steady Scatter`}</title>
      <TopBar
        acts={
          <>
            {product && (
              <ActButton
                icon={Scale}
                label="Compare"
                onClick={() => void navigate(`/shelf/compare?products=${product.id}`)}
              />
            )}
            {product && (
              <ActButton icon={Trash2} label="Delete" onClick={() => void keeping.remove(product)} />
            )}
            {differs && (
              <ActButton icon={RotateCcw} label="Drop changes" onClick={() => keeping.drop(kept)} />
            )}
            <Button variant={isKept ? 'outline' : 'solid'} loading={keeping.isPending} onClick={keep}>
              {isKept ? 'Kept' : 'Keep on the shelf'}
            </Button>
          </>
        }
      >
        <chakra.h1 fontSize="21px" fontWeight="bold" overflowWrap="anywhere">
          {product ? product.typed.name : 'New product'}
        </chakra.h1>
        {product?.isSample && <SampleBadge />}
        {differs && (
          <chakra.span fontSize="15px" color="ink.soft">
            not kept yet
          </chakra.span>
        )}
      </TopBar>
      <Box as="main" id="main" padding={{ base: '8px 16px 24px', md: '8px 24px 32px' }} maxWidth="1100px">
        {keeping.theirs && (
          <Elsewhere
            theirs={keeping.theirs}
            onMine={() => keeping.theirs && keeping.keepMine(keeping.theirs)}
            onTheirs={() => keeping.theirs && void keeping.takeTheirs(keeping.theirs)}
          />
        )}
        <ProductForm
          typed={typed}
          onChange={replace}
          errorAt={(field) => shown.find((error) => error.field === field)}
        />
      </Box>
    </>
  );
}

/** A product of the shelf, or a new one, as its label states it. */
export default function ProductPage() {
  const { id = null } = useParams();
  const { data, error, refetch } = useProduct(id);
  if (id === null) return <ProductSheet key="new" product={null} />;
  if (data) return <ProductSheet key={data.id} product={data} />;
  if (error instanceof ApiProblem && error.problem.status < 500) {
    return (
      <Message
        heading="This product is not on the shelf"
        text="It may have been deleted."
        act="See the shelf"
        to="/shelf"
      />
    );
  }
  if (error)
    return (
      <Message
        heading="The product could not be opened"
        text={explain(error)}
        act="Try again"
        onAct={() => void refetch()}
      />
    );
  return <Message heading="Opening the product …" text="" />;
}
