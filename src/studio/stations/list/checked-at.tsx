import { useState } from 'react';
import { type Edit, edits } from '../../../core/project';
import { Row } from '../../shared/controls/controls';
import { tryToMake } from '../../shared/session/editing';
import { goToFinding, useFindings } from '../../shared/session/findings';
import { useProject } from '../../shared/session/session';

const codes = new Set(['text-cut', 'box-squeezed', 'box-over']);

/** At which widths and text sizes the boxes of all rows are checked, and what was found there. */
export function CheckedAt() {
  const project = useProject();
  const found = useFindings().filter(({ code }) => codes.has(code));
  const widths = project?.widths ?? [];
  return (
    <section aria-labelledby="checked-at" className="mt-4 border-t border-rule pt-3">
      <h2 id="checked-at" className="font-semibold">
        Checked at
      </h2>
      <p className="text-ash">
        What is cut off or stands out of its box, in all rows, at these widths and text sizes.
      </p>
      <Row words="widths">
        <Numbers
          label="Widths that are checked"
          placeholder="320, 360, 412"
          unit="px"
          values={widths}
          edit={edits.checkWidths}
        />
      </Row>
      <Row words="text sizes">
        <Numbers
          label="Text sizes that are checked"
          placeholder="100"
          unit="%"
          values={project?.textSizes ?? []}
          edit={edits.checkTextSizes}
        />
      </Row>
      {widths.length > 0 && found.length === 0 && (
        <p className="pt-1 text-moss">All boxes are as they should be.</p>
      )}
      <ul className="pt-1">
        {found.map((finding) => (
          <li key={JSON.stringify([finding.code, finding.place])}>
            <button
              type="button"
              className="w-full rounded-sm px-1 py-1 text-start hover:bg-chosen"
              onClick={() => goToFinding(finding)}
            >
              <span className="underline">{finding.message}</span>
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}

interface NumbersProps {
  readonly label: string;
  readonly placeholder: string;
  readonly unit: string;
  readonly values: readonly number[];
  readonly edit: (values: readonly number[]) => Edit;
}

/** Several numbers in one field, taken with Enter or on leaving it. */
function Numbers({ label, placeholder, unit, values, edit }: NumbersProps) {
  const [typed, setTyped] = useState<string>();
  const [why, setWhy] = useState<string>();
  const take = () => {
    if (typed === undefined) return;
    const wanted = (typed.match(/[^\s,;]+/g) ?? []).map(Number);
    const isSame = wanted.join() === values.join();
    const wrong = isSame ? undefined : tryToMake(edit(wanted));
    setWhy(wrong);
    if (wrong === undefined) setTyped(undefined);
  };
  return (
    <>
      <input
        aria-label={label}
        aria-invalid={why !== undefined}
        placeholder={placeholder}
        className="h-7 w-44 rounded-md border border-rule bg-paper px-2 font-mono tabular-nums"
        value={typed ?? values.join(', ')}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={take}
        onKeyDown={({ key }) => {
          if (key === 'Enter') take();
          if (key !== 'Escape') return;
          setTyped(undefined);
          setWhy(undefined);
        }}
      />
      <span className="ps-2 text-ash">{unit}</span>
      {why !== undefined && (
        <p role="alert" className="text-madder">
          {why}
        </p>
      )}
    </>
  );
}
