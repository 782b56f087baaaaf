import { useSystem } from '../settings/useSystem.ts';
import { blankProduct, PRODUCT_KINDS } from '@steady-scatter/core/products';
import { Droplets, Scale } from 'lucide-react';
import { useNavigate, useParams } from 'react-router';
import { say } from '@steady-scatter/words/shelf';
import { DocPage } from '../documents/DocPage.tsx';
import { CommandButton } from '../ui/CommandButton.tsx';
import { StockSection } from './StockSection.tsx';
import { ProductForm } from './ProductForm.tsx';
import { PRODUCTS } from '../kinds/useProducts.ts';

/** A product of the shelf, or a new one, as its label states it. */
export default function ProductPage() {
  const system = useSystem();
  const navigate = useNavigate();
  const { id } = useParams();
  return (
    <DocPage
      kind={PRODUCTS}
      blank={() => blankProduct('dry-fertilizer', system)}
      renderForm={(props) => (
        <>
          <ProductForm {...props} />
          {id && <StockSection product={id} />}
        </>
      )}
      renderActs={({ id, input: { kind } }) => (
        <>
          {PRODUCT_KINDS[kind].puts === 'de-icer' && (
            <CommandButton
              icon={Droplets}
              label={say('shelf.product.brine')}
              onClick={() => void navigate('/winter/brine')}
            />
          )}
          <CommandButton
            icon={Scale}
            label={say('common.compare')}
            onClick={() => void navigate(`/shelf/compare?products=${id}`)}
          />
        </>
      )}
    />
  );
}
