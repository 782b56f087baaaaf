import { blankProduct } from '@steady-scatter/core/shelf';
import { Scale } from 'lucide-react';
import { useNavigate } from 'react-router';
import { DocPage } from '../documents/DocPage.tsx';
import { usePreferences } from '../settings/PreferencesProvider.tsx';
import { CommandButton } from '../ui/CommandButton.tsx';
import { ProductForm } from './ProductForm.tsx';
import { PRODUCTS } from './useProducts.ts';

/** A product of the shelf, or a new one, as its label states it. */
export default function ProductPage() {
  const { units } = usePreferences().preferences;
  const navigate = useNavigate();
  return (
    <DocPage
      kind={PRODUCTS}
      blank={() => blankProduct('dry-fertilizer', units.area === 'm2' ? 'metric' : 'us')}
      renderForm={(props) => <ProductForm {...props} />}
      renderActs={({ id }) => (
        <CommandButton
          icon={Scale}
          label="Compare"
          onClick={() => void navigate(`/shelf/compare?products=${id}`)}
        />
      )}
    />
  );
}
