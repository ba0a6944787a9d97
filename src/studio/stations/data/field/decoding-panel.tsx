import { useEffect, useRef, useState } from 'react';
import { count, type Json } from '../../../../core/base';
import { decodingInWords, type Proposal } from '../../../../core/items';
import { edits, type FieldPlace, type Source } from '../../../../core/project';
import type { Decoding, Field } from '../../../../core/values';
import type { DecodingTrial } from '../../../../engine';
import { Button, MenuButton } from '../../../shared/controls/controls';
import { handItem } from '../../../shared/session/at-hand';
import { make } from '../../../shared/session/editing';
import { engine } from '../../../shared/session/session';
import { useAnswer } from '../../../shared/session/use-answer';

interface DecodingPanelProps {
  readonly source: Source;
  readonly field: Field;
  readonly place: FieldPlace;
  readonly onAsItStands: () => void;
}

const others: readonly Decoding[] = [
  { epoch: 'seconds' },
  { epoch: 'milliseconds' },
  { duration: 'minutes' },
  { duration: 'seconds' },
  { duration: 'clock' },
  { decimal: ',' },
  { decimal: '.' },
  { yes: ['yes', 'y', 'true'], no: ['no', 'n', 'false'] },
];

/** How text and numbers are read as dates, numbers or yes and no: tried on all values as one types. */
export function DecodingPanel({ source, field, place, onAsItStands }: DecodingPanelProps) {
  // It is read alike in every type that has it.
  const asked = { source: source.id, type: undefined, path: place.path };
  const [proposals, setProposals] = useState<readonly Proposal[]>([]);
  const [decoding, setDecoding] = useState<Decoding | undefined>(field.decode);
  const id = JSON.stringify(asked);

  // biome-ignore lint/correctness/useExhaustiveDependencies: the id says which field
  useEffect(() => {
    void engine()
      .proposals(asked)
      .then((found) => {
        setProposals(found);
        setDecoding((before) => before ?? found[0]?.decoding ?? { pattern: 'yyyy-MM-dd' });
      });
  }, [id]);

  const trial = useAnswer(decoding && { asked, decoding }, (own) =>
    engine().tryDecoding(own.asked, own.decoding),
  );

  const isKept = JSON.stringify(decoding) === JSON.stringify(field.decode);
  return (
    <div>
      <div className="flex flex-wrap items-center gap-1.5">
        {decoding !== undefined && 'pattern' in decoding && (
          <Pattern decoding={decoding} onChange={setDecoding} />
        )}
        <MenuButton
          label="Ways to read it"
          words={
            decoding === undefined || 'pattern' in decoding
              ? 'other ways'
              : decodingInWords(decoding)
          }
          entries={[
            ...proposals.map((proposal) => ({
              words: decodingInWords(proposal.decoding),
              hint: `fits ${proposal.fits} of ${proposal.of}`,
              onChoose: () => setDecoding(proposal.decoding),
            })),
            { words: 'a date pattern', onChoose: () => setDecoding({ pattern: 'yyyy-MM-dd' }) },
            ...others.map((each) => ({
              words: decodingInWords(each),
              onChoose: () => setDecoding(each),
            })),
          ]}
        />
        <Button
          isMain
          isDisabled={isKept || trial === undefined || trial.wrong !== undefined}
          onPress={() => decoding !== undefined && make(edits.decodeField(place, decoding))}
        >
          {isKept ? 'Read so' : 'Read it so'}
        </Button>
        <Button onPress={onAsItStands}>As it stands</Button>
      </div>
      {proposals.length > 1 && field.decode === undefined && (
        <p className="text-sm text-weld">
          The values also fit{' '}
          {proposals
            .slice(1, 3)
            .map((each) => decodingInWords(each.decoding))
            .join(' and ')}
          : choose what is meant.
        </p>
      )}
      {trial !== undefined && (
        <Trial trial={trial} onMend={(pattern) => setDecoding({ pattern })} />
      )}
    </div>
  );
}

function Pattern({
  decoding,
  onChange,
}: {
  readonly decoding: Extract<Decoding, { pattern: string }>;
  readonly onChange: (decoding: Decoding) => void;
}) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <input
        ref={input}
        aria-label="Date pattern"
        className="h-7 w-44 rounded-md border border-woad bg-wool px-2 font-mono text-sm"
        value={decoding.pattern}
        maxLength={200}
        onChange={(event) => onChange({ ...decoding, pattern: event.target.value })}
      />
      <input
        aria-label="Language of the names in it"
        className="h-7 w-12 rounded-md border border-rule bg-paper px-1.5 font-mono text-sm"
        placeholder="en"
        value={decoding.locale ?? ''}
        maxLength={20}
        onChange={(event) => {
          const locale = event.target.value.trim();
          const isKnown = locale !== '' && isLocale(locale);
          onChange({ pattern: decoding.pattern, ...(isKnown && { locale }) });
        }}
      />
    </>
  );
}

function isLocale(locale: string): boolean {
  try {
    return Intl.getCanonicalLocales(locale).length > 0;
  } catch {
    return false;
  }
}

/** What the values become, what does not fit, and slips that a pattern invites. */
function Trial({
  trial,
  onMend,
}: {
  readonly trial: DecodingTrial;
  readonly onMend: (pattern: string) => void;
}) {
  return (
    <div className="pt-1 text-sm">
      {trial.wrong !== undefined && <p className="text-madder">{trial.wrong}.</p>}
      {trial.slips.map((slip) => (
        <p key={slip.message} className="text-weld">
          {slip.message}{' '}
          <button type="button" className="underline" onClick={() => onMend(slip.instead)}>
            write {slip.instead}
          </button>
        </p>
      ))}
      {trial.samples.slice(0, 3).map(({ raw, value }) => (
        <p key={String(raw)} className="truncate">
          <bdi>“{String(raw)}”</bdi> → {inWords(value)}
        </p>
      ))}
      {trial.failCount > 0 && (
        <details>
          <summary className="cursor-default text-madder">
            {count(trial.failCount, 'value')} of {trial.triedCount} not read
          </summary>
          <ul className="max-h-24 overflow-auto">
            {trial.fails.map(({ item, raw, why }) => (
              <li key={item}>
                <button type="button" className="underline" onClick={() => void handItem(item)}>
                  item {item + 1}
                </button>{' '}
                <bdi>{JSON.stringify(raw)}</bdi>: {why}
              </li>
            ))}
          </ul>
        </details>
      )}
    </div>
  );
}

const written = new Intl.DateTimeFormat('en', { dateStyle: 'long', timeZone: 'UTC' });

/** A date with its month in words, so that day and month can't be taken for each other. */
function inWords(value: Json | undefined): string {
  const date = /^(\d{4}-\d\d-\d\d)(.*)$/.exec(String(value));
  if (date === null) return String(value);
  return `${written.format(new Date(`${date[1]}T00:00:00Z`))} ${date[2]?.replace('T', '') ?? ''}`;
}
