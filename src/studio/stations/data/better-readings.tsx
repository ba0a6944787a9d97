import { count, grouped, namesInWords } from '../../../core/base';
import { type BetterReading, decodingInWords, settledWay } from '../../../core/items';
import { type Edit, edits, type ItemType, inOneStep, type Source } from '../../../core/project';
import { type Decoding, fieldAtPath } from '../../../core/values';
import { Button } from '../../shared/controls/controls';
import { make } from '../../shared/session/editing';
import { engine } from '../../shared/session/session';
import { useAnswer } from '../../shared/session/use-answer';

interface BetterReadingsProps {
  readonly source: Source;
  readonly types: readonly ItemType[];
}

/** Texts that are dates, numbers or yes and no: said where the items are, and read so by one press. */
export function BetterReadings({ source, types }: BetterReadingsProps) {
  const shown = useAnswer(source.id, (id) => engine().betterReadings(id)) ?? [];
  if (shown.length === 0) return null;
  const ownerOf = ({ path }: BetterReading) =>
    types.find(({ fields }) => fieldAtPath(fields, path) !== undefined);
  const read = (reading: BetterReading, decoding: Decoding): Edit[] => {
    const type = ownerOf(reading);
    return type === undefined
      ? []
      : [edits.decodeField({ type: type.id, path: reading.path }, decoding)];
  };
  const all = shown.flatMap((each) => {
    const way = settledWay(each);
    return way === undefined ? [] : read(each, way);
  });
  const leave = (readings: readonly BetterReading[]) => {
    const left = readings.flatMap((reading) => {
      const type = ownerOf(reading);
      return type === undefined ? [] : [edits.leaveField({ type: type.id, path: reading.path })];
    });
    const [only] = left;
    if (only !== undefined)
      make(
        left.length === 1
          ? only
          : inOneStep(`Leave ${count(left.length, 'field')} as they are`, left),
      );
  };
  return (
    <section
      aria-label="Fields that read better"
      className="flex flex-wrap items-start gap-x-3 gap-y-1 border-b border-rule bg-paper px-3 py-1.5 text-sm"
    >
      <details className="min-w-[min(100%,420px)] flex-1" open={shown.length < 4}>
        <summary className="cursor-default truncate">
          <b>
            {count(shown.length, 'field')} {shown.length === 1 ? 'reads' : 'read'} better
          </b>
          {': '}
          {shown.map((each) => `${namesInWords(each.path)} as ${waysInWords(each)}`).join(', ')}
        </summary>
        <ul className="max-h-40 overflow-auto">
          {shown.map((reading) => (
            <Line
              key={JSON.stringify(reading.path)}
              reading={reading}
              onRead={(decoding) => {
                const [edit] = read(reading, decoding);
                if (edit !== undefined) make(edit);
              }}
              onLeave={() => leave([reading])}
            />
          ))}
        </ul>
      </details>
      {all.length > 1 && (
        <Button
          isMain
          onPress={() => make(inOneStep(`Read ${count(all.length, 'field')} as values`, all))}
        >
          Read all so
        </Button>
      )}
      {shown.length > 1 && <Button onPress={() => leave(shown)}>Leave them</Button>}
    </section>
  );
}

const waysInWords = ({ ways }: BetterReading): string =>
  [...new Set(ways.map(({ gives }) => withArticle(gives)))].join(' or ');

interface LineProps {
  readonly reading: BetterReading;
  readonly onRead: (decoding: Decoding) => void;
  readonly onLeave: () => void;
}

function Line({ reading, onRead, onLeave }: LineProps) {
  const { path, ways, readCount, valueCount } = reading;
  const name = namesInWords(path);
  const others = valueCount - readCount;
  return (
    <li className="flex flex-wrap items-center gap-x-2 gap-y-0.5 py-0.5">
      <span>
        <b className="font-mono">{name}</b>{' '}
        {ways.length > 1
          ? 'may be read in more than one way: what is meant?'
          : `as ${withArticle(ways[0]?.gives ?? 'text')}: ${
              others === 0
                ? `all ${grouped(valueCount)}`
                : `${grouped(readCount)} of ${grouped(valueCount)}, ${count(others, 'other')} would be missing`
            }`}
      </span>
      {ways.map(({ decoding }) => (
        <Button
          key={JSON.stringify(decoding)}
          label={`Read ${name} as ${decodingInWords(decoding)}`}
          onPress={() => onRead(decoding)}
        >
          {decodingInWords(decoding)}
        </Button>
      ))}
      <Button label={`Leave ${name} as it is`} onPress={onLeave}>
        Leave it
      </Button>
    </li>
  );
}

const withArticle = (type: string): string =>
  type === 'boolean'
    ? 'yes or no'
    : `${/^[aeiou]/.test(type) ? 'an' : 'a'} ${type === 'datetime' ? 'date and time' : type}`;
