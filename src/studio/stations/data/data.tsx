import { useDeferredValue, useState } from 'react';
import { ownValue } from '../../../core/base';
import { plainLook, type TableLook } from '../../../engine';
import { useCurrent } from '../../shared/session/current';
import { useRoute } from '../../shared/session/route';
import { useSession } from '../../shared/session/session';
import { Aside } from './aside';
import { BetterReadings } from './better-readings';
import { FieldDetail } from './field/field-detail';
import { FollowLine } from './follow-line';
import { ImportSummary } from './import-summary';
import { PicturesPanel } from './pictures-panel';
import { SourceLine } from './source-line';
import { ItemTable } from './table/item-table';

/** What was brought: where the items were found, what they are, and every one of them. */
export default function Data() {
  const current = useCurrent();
  const { route } = useRoute();
  const imported = useSession((session) => session.imported);
  // What is read comes first: it is looked at once it is all there.
  const isReading = useSession((session) => session.reading !== undefined);
  const [looks, setLooks] = useState<Readonly<Record<string, TableLook>>>({});
  const id = current?.source.id ?? '';
  const look = ownValue(looks, id) ?? plainLook;
  const slow = useDeferredValue(look);
  if (current === undefined) return null;
  const { source, types, set } = current;
  const onLook = (next: TableLook) => setLooks((before) => ({ ...before, [id]: next }));
  const isTyped = source.from.format === 'typed' || /^(?:typed|pasted)$/.test(source.from.file);
  return (
    <div className="grid h-full grid-cols-[184px_minmax(0,1fr)] in-data-[windows=two]:grid-cols-[148px_minmax(0,1fr)] grid-rows-[auto_minmax(0,1fr)] max-[1000px]:grid-cols-1">
      <SourceLine {...{ current, look, onLook }} />
      <Aside current={current} />
      {route.page === 'project' && route.panel === 'pictures' ? (
        <PicturesPanel project={current.project} />
      ) : (
        <div
          data-pane="table field"
          className="grid min-h-0 grid-cols-[minmax(0,1fr)] grid-rows-[auto_minmax(0,1fr)_auto] max-[1000px]:grid-rows-[auto_minmax(0,1fr)]"
        >
          <div data-pane="table">
            <FollowLine source={source} />
            {!isReading && <BetterReadings key={source.id} source={source} types={types} />}
            {imported?.source === source.id && (
              <ImportSummary source={source} summary={imported.summary} />
            )}
          </div>
          <ItemTable key={source.id} {...{ source, types, onLook, isTyped, set }} look={slow} />
          <FieldDetail
            source={source}
            types={types}
            id={route.page === 'project' ? route.field : undefined}
            onOnly={(only) => onLook({ ...look, only })}
          />
        </div>
      )}
    </div>
  );
}
