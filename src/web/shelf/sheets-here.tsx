import { useState } from 'react';
import type { SheetCard, SheetPlace } from '../../contracts/index.ts';
import { Button, Select } from '../parts/index.ts';
import { type Order, ORDERS, arranged } from './order.ts';
import { SheetOnShelf } from './sheet-on-shelf.tsx';

/** From so many sheets on they can be searched and put in order. */
const MANY = 4;

/** The sheets of one place, to be searched and ordered; the drawer and what was thrown away open from here. */
export function SheetsHere({
  cards,
  place,
  onPlace,
}: {
  cards: readonly SheetCard[];
  place: SheetPlace;
  onPlace(place: SheetPlace): void;
}) {
  const [order, setOrder] = useState<Order>('latest');
  const [sought, setSought] = useState('');
  const here = cards.filter((card) => card.place === place);
  const count = (of: SheetPlace) => cards.filter((card) => card.place === of).length;
  const shown = arranged(here, order, sought);
  return (
    <div className="min-w-0 flex-1">
      <div className="mb-5 flex min-h-10 flex-wrap items-center gap-3">
        {here.length >= MANY && (
          <>
            <input
              type="search"
              aria-label="Find a sheet"
              placeholder="find a sheet"
              className="h-10 w-48 border border-edge bg-leaf px-3"
              value={sought}
              onChange={(event) => setSought(event.target.value)}
            />
            <Select<Order>
              label="Order"
              value={order}
              options={ORDERS.map(({ id, label }) => ({ value: id as Order, label }))}
              onChange={setOrder}
              className="w-52!"
            />
          </>
        )}
        <span className="ml-auto" />
        {place !== 'shelf' && <Button onClick={() => onPlace('shelf')}>Back to the shelf</Button>}
        {place !== 'drawer' && count('drawer') > 0 && (
          <Button look="bare" onClick={() => onPlace('drawer')}>
            The drawer ({count('drawer')})
          </Button>
        )}
        {place !== 'bin' && count('bin') > 0 && (
          <Button look="bare" onClick={() => onPlace('bin')}>
            Thrown away ({count('bin')})
          </Button>
        )}
      </div>
      {shown.length === 0 && (
        <p className="text-soft">
          {sought
            ? 'No sheet is called so.'
            : place === 'shelf'
              ? 'No sheet lies here yet. Bring in a page, or scan one.'
              : 'Nothing lies here.'}
        </p>
      )}
      <ul className="grid grid-cols-[repeat(auto-fill,minmax(14rem,1fr))] items-start gap-x-8 gap-y-7">
        {shown.map((card) => (
          <SheetOnShelf key={card.id} card={card} />
        ))}
      </ul>
    </div>
  );
}
