import { namesInWords } from '../../../core/base';
import { type BetterReading, decodingInWords } from '../../../core/items';
import { edits, type ItemType } from '../../../core/project';
import { type Decoding, pathsRead } from '../../../core/values';
import { make } from '../session/editing';
import { engine } from '../session/session';
import { useAnswer } from '../session/use-answer';

interface ReadsBetterProps {
  readonly type: ItemType;
  /** An expression: only what it reads. */
  readonly text?: string;
}

/** Texts that are dates, numbers or yes and no, wherever one meets them: read so by one press. */
export function ReadsBetter({ type, text }: ReadsBetterProps) {
  const readBy = text === undefined ? undefined : pathsRead(text);
  const isAsked = readBy === undefined || readBy.length > 0;
  const found = useAnswer(isAsked ? { source: type.source, readBy } : undefined, (asked) =>
    engine().betterReadings(asked.source, asked.readBy),
  );
  return (
    <>
      {(found ?? []).map((reading) => (
        <Reading key={JSON.stringify(reading.path)} {...{ type, reading }} />
      ))}
    </>
  );
}

interface ReadingProps {
  readonly type: ItemType;
  readonly reading: BetterReading;
}

function Reading({ type, reading }: ReadingProps) {
  const { path, ways } = reading;
  const name = namesInWords(path);
  const read = (decoding: Decoding) => make(edits.decodeField({ type: type.id, path }, decoding));
  return (
    <p className="pt-0.5 text-sm text-ash">
      <b className="font-mono text-ink">{name}</b> reads better as{' '}
      {ways.map(({ decoding, gives }, at) => (
        <span key={JSON.stringify(decoding)}>
          {at > 0 && ' or '}
          <button
            type="button"
            aria-label={`Read ${name} as ${gives} (${decodingInWords(decoding)})`}
            className="text-woad underline"
            onMouseDown={(event) => event.preventDefault()}
            onClick={() => read(decoding)}
          >
            {gives} ({decodingInWords(decoding)})
          </button>
        </span>
      ))}
    </p>
  );
}
