import { useVirtualizer } from '@tanstack/react-virtual';
import { memo, useRef, useState } from 'react';
import { flushSync } from 'react-dom';
import { createRoot } from 'react-dom/client';

/** The same rows as a good engineer would write them by hand with React and a virtualizer. */
interface ShopItem {
  readonly id: string;
  readonly kind: string;
  readonly name: string;
  readonly price?: number;
  readonly grams?: number;
  readonly maker?: { readonly name: string };
}

export interface ReferenceList {
  insert(at: number, items: readonly ShopItem[]): void;
}

const heightOf = (item: ShopItem | undefined): number => (item?.kind === 'skein' ? 58 : 40);

const Row = memo(({ item, top }: { readonly item: ShopItem; readonly top: number }) => (
  <div
    className={`yc-stack yc-across yc-row row ${item.kind === 'skein' ? 'row-skein' : 'row-plain'}`}
    style={{ transform: `translate(0px, ${top}px)` }}
  >
    {item.kind === 'skein' ? (
      <>
        <div className="yc-stack yc-down words">
          <div className="yc-label yc-ink title">{item.name}</div>
          <div className="yc-label yc-ash small">{`${item.maker?.name ?? ''} · ${item.grams ?? ''} g`}</div>
        </div>
        <div className="yc-label yc-ink value">{item.price}</div>
      </>
    ) : (
      <div className="yc-label yc-ink title words">{item.name}</div>
    )}
  </div>
));

function List({
  first,
  ready,
}: {
  readonly first: readonly ShopItem[];
  readonly ready: (list: ReferenceList) => void;
}) {
  const [items, setItems] = useState(first);
  const scroller = useRef<HTMLDivElement>(null);
  const virtualizer = useVirtualizer({
    count: items.length,
    getScrollElement: () => scroller.current,
    estimateSize: (index) => heightOf(items[index]),
    getItemKey: (index) => items[index]?.id ?? index,
    overscan: 5,
  });
  ready({
    insert: (at, added) =>
      flushSync(() =>
        setItems((before) => [...before.slice(0, at), ...added, ...before.slice(at)]),
      ),
  });
  return (
    <div ref={scroller} className="yc-list list">
      <div className="yc-sizer" style={{ height: virtualizer.getTotalSize() }}>
        {virtualizer.getVirtualItems().map((each) => {
          const item = items[each.index];
          return item && <Row key={each.key} item={item} top={each.start} />;
        })}
      </div>
    </div>
  );
}

export function mountReference(host: HTMLElement, items: readonly ShopItem[]): ReferenceList {
  let list: ReferenceList | undefined;
  const root = createRoot(host);
  flushSync(() =>
    root.render(
      <List
        first={items}
        ready={(made) => {
          list = made;
        }}
      />,
    ),
  );
  if (list === undefined) throw new Error('the list was not mounted');
  return list;
}
