import type { products, ReadableOf } from '@steady-scatter/contract';
import { PRODUCT_KIND_IDS } from '@steady-scatter/core/products';
import { textWithUnit, type UnitId } from '@steady-scatter/core/quantities';
import { MISSING } from '@steady-scatter/core/working';
import { Download, Scale, Upload } from 'lucide-react';
import { useMemo } from 'react';
import { useNavigate } from 'react-router';
import { nameOf, say } from '@steady-scatter/words/shelf';
import { explain } from '../api/explain.ts';
import { useCommands } from '../commands/CommandsProvider.tsx';
import { allDocs } from '../documents/docs.ts';
import { DocList } from '../documents/list/DocList.tsx';
import type { ListColumn } from '../documents/list/listColumns.ts';
import { PRODUCTS } from '../kinds/useProducts.ts';
import { fetchStock, packagesText, useStock, withStock, type StockById } from '../kinds/useStock.ts';
import { useNotices } from '../notices/notices.tsx';
import { ShelfTabs } from '../shell/ShelfTabs.tsx';
import { CommandButton } from '../ui/CommandButton.tsx';
import { today } from '../ui/today.ts';
import { exportShelf } from './exportShelf.ts';

type ShelfLine = ReadableOf<typeof products>;

const MAX_COMPARED = 6;

const columns = (stock: StockById): readonly ListColumn<ShelfLine>[] => [
  {
    header: say('shelf.kindHeading'),
    by: 'kind',
    wide: true,
    cell: ({ kind }) => nameOf('product', kind),
  },
  {
    header: say('shelf.analysis'),
    by: 'grade',
    cell: ({ grade, load }) => grade || (load && say('shelf.load', { load })) || MISSING,
  },
  {
    header: say('shelf.package'),
    by: 'packageSi',
    wide: true,
    end: true,
    cell: ({ package: size, packageUnit }) =>
      size === '' ? MISSING : textWithUnit(size, packageUnit as UnitId),
  },
  {
    header: say('shelf.price'),
    by: 'priceCents',
    wide: true,
    end: true,
    cell: ({ price }) => price || MISSING,
  },
  {
    header: say('shelf.stock'),
    end: true,
    cell({ id }) {
      const line = stock.get(id);
      return line ? packagesText(line.packages) : MISSING;
    },
  },
  { header: say('shelf.lot.lot'), by: 'lot', wide: true, cell: ({ lot }) => lot || MISSING },
];

const FILTERS = [
  {
    label: say('shelf.kind'),
    column: 'kind',
    all: say('shelf.allKinds'),
    options: PRODUCT_KIND_IDS.map((id) => ({ id, label: nameOf('product', id) })),
  },
];

/** What can be done with the shelf, and with the products that are ticked. */
function ShelfActs({ ticked }: { ticked: readonly string[] }) {
  const notices = useNotices();
  const navigate = useNavigate();
  const compare = () => void navigate(`/shelf/compare?products=${ticked.slice(0, MAX_COMPARED).join(',')}`);
  useCommands([
    { id: 'new-product', label: say('shelf.new'), keys: 'a', run: () => void navigate('/shelf/new') },
    { id: 'compare', label: say('shelf.compareCommand'), keys: 'v', run: compare },
  ]);
  async function save() {
    try {
      const [all, stock] = await Promise.all([allDocs(PRODUCTS), fetchStock()]);
      exportShelf(
        all.map((doc) => withStock(doc, stock).input),
        today(),
      );
    } catch (failure) {
      notices.tell(explain(failure));
    }
  }
  return (
    <>
      <CommandButton
        icon={Scale}
        label={
          ticked.length > 0
            ? say('shelf.compareCount', { count: Math.min(ticked.length, MAX_COMPARED) })
            : say('shelf.compareAll')
        }
        onClick={compare}
      />
      <CommandButton icon={Download} label={say('common.export')} onClick={() => void save()} />
      <CommandButton
        icon={Upload}
        label={say('shelf.import')}
        onClick={() => void navigate('/shelf/import')}
      />
    </>
  );
}

/** The shelf: everything that the crew owns, to look through, sort, and hold side by side for a need. */
export default function ShelfPage() {
  const stock = useStock();
  const shown = useMemo(() => columns(stock), [stock]);
  return (
    <DocList
      kind={PRODUCTS}
      heading={say('shelf.heading')}
      tabs={<ShelfTabs />}
      nameHeader="Product"
      columns={shown}
      filters={FILTERS}
      detail={({ kind, lot }) =>
        [nameOf('product', kind), lot && say('shelf.lot.short', { lot })].filter(Boolean).join(', ')
      }
      renderActs={(ticked) => <ShelfActs ticked={ticked} />}
      empty={say('shelf.teach')}
    />
  );
}
