import { count, grouped, type Json } from '../../../../core/base';
import type { Evidence, Extreme } from '../../../../core/items';
import { typeInWords, type ValueType } from '../../../../core/values';
import { endWords } from '../../../shared/expression/spread-line';
import { handItem } from '../../../shared/session/at-hand';

/** How many there are, what the ends are, what stands most often: each end leads to its item. */
export function EvidenceWords({
  evidence,
  field,
}: {
  readonly evidence: Evidence;
  readonly field: ValueType;
}) {
  const { itemCount, presentCount, nullCount, emptyCount, measure, smallest, largest } = evidence;
  const missing = itemCount - presentCount;
  const [first, last] = endWords[measure ?? 'number'];
  const distinct = `${evidence.isDistinctExact ? '' : 'more than '}${grouped(evidence.distinctCount)} distinct`;
  return (
    <div>
      <p>
        <b>{count(presentCount, typeInWords(field), `${typeInWords(field)}s`)}</b>
        {missing > 0 ? (
          <>
            {', '}
            <button
              type="button"
              className="text-madder underline"
              onClick={() => void handItem(evidence.firstMissing)}
            >
              {grouped(missing)} missing
            </button>
            {nullCount > 0 ? ` (${grouped(nullCount)} null)` : ''}
          </>
        ) : (
          ', none missing'
        )}
        {emptyCount > 0 ? `, ${grouped(emptyCount)} empty` : ''}, {distinct}
      </p>
      {smallest !== undefined && largest !== undefined && (
        <p>
          <End words={first} extreme={smallest} /> · <End words={last} extreme={largest} />
        </p>
      )}
    </div>
  );
}

function End({ words, extreme }: { readonly words: string; readonly extreme: Extreme }) {
  return (
    <>
      {words}{' '}
      <button
        type="button"
        className="max-w-44 truncate align-bottom font-semibold underline decoration-rule underline-offset-2"
        onClick={() => void handItem(extreme.item)}
      >
        <bdi>{shown(extreme.value)}</bdi>
      </button>
    </>
  );
}

export function shown(value: Json): string {
  if (value === '') return 'empty';
  if (Array.isArray(value)) return count(value.length, 'element');
  return typeof value === 'object' ? JSON.stringify(value) : String(value);
}
