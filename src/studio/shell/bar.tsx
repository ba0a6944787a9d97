import Moon from 'lucide-react/icons/moon';
import Redo2 from 'lucide-react/icons/redo-2';
import Search from 'lucide-react/icons/search';
import Sun from 'lucide-react/icons/sun';
import Undo2 from 'lucide-react/icons/undo-2';
import { useState } from 'react';
import { count } from '../../core/base';
import { edits } from '../../core/project';
import { Button } from '../shared/controls/controls';
import { Later } from '../shared/controls/later';
import { Mark } from '../shared/controls/mark';
import { make, stepBack, stepForward } from '../shared/session/editing';
import { goToFinding, useFindings } from '../shared/session/findings';
import { go } from '../shared/session/route';
import { useKept, useSession } from '../shared/session/session';
import { useScheme } from '../shared/window/scheme';
import { usePalette } from './palette/palette-state';

export function Bar() {
  const history = useKept((session) => session.history);
  const [scheme, flipScheme] = useScheme();
  const back = history?.done.at(-1);
  const forward = history?.undone[0];
  return (
    <header className="col-span-2 flex min-w-0 items-center gap-3 border-b border-rule px-3 max-[1000px]:gap-1.5 max-[1000px]:px-2">
      <button
        type="button"
        aria-label="All projects"
        title="All projects"
        onClick={() => go({ page: 'start' })}
      >
        <Mark />
      </button>
      {history !== undefined && <Name key={history.project.name} name={history.project.name} />}
      <Kept />
      <Button
        onPress={stepBack}
        whyNot={back === undefined ? 'this is where it began' : undefined}
        label={back ? `Undo: ${back.name}` : 'Nothing to undo'}
      >
        <Undo2 size={14} aria-hidden="true" />
        {back !== undefined && (
          <span className="max-w-44 truncate max-[1100px]:hidden">{back.name}</span>
        )}
      </Button>
      <Button
        onPress={stepForward}
        whyNot={forward === undefined ? 'nothing was undone' : undefined}
        label={forward ? `Redo: ${forward.name}` : 'Nothing to redo'}
      >
        <Redo2 size={14} aria-hidden="true" />
      </Button>
      <button
        type="button"
        className="ms-auto flex h-7 w-72 items-center gap-2 rounded-md border border-rule bg-paper px-2.5 text-ash hover:border-ash max-[1100px]:w-44 max-[1000px]:ms-0 max-[1000px]:w-auto max-[1000px]:min-w-0"
        onClick={() => usePalette.setState({ isOpen: true })}
      >
        <Search size={14} aria-hidden="true" />
        <span className="max-[600px]:sr-only">Find or do</span>
        <kbd className="ms-auto rounded-sm border border-rule px-1 font-sans text-xs max-[1000px]:hidden">
          Ctrl K
        </kbd>
      </button>
      <div className="ms-auto flex items-center gap-2">
        <Findings />
        <Button onPress={flipScheme} label={scheme === 'dark' ? 'Light scheme' : 'Dark scheme'}>
          {scheme === 'dark' ? (
            <Sun size={14} aria-hidden="true" />
          ) : (
            <Moon size={14} aria-hidden="true" />
          )}
        </Button>
      </div>
    </header>
  );
}

function Name({ name }: { readonly name: string }) {
  const [text, setText] = useState(name);
  return (
    <input
      aria-label="Project name"
      className="h-7 w-40 min-w-16 max-[1000px]:w-28 max-[1000px]:shrink rounded-md bg-transparent px-1.5 text-base font-semibold hover:bg-paper focus:bg-paper"
      value={text}
      onChange={(event) => setText(event.target.value)}
      onBlur={() => {
        if (text !== name && make(edits.rename(text)) !== undefined) setText(name);
      }}
      onKeyDown={(event) => {
        if (event.key === 'Enter') event.currentTarget.blur();
      }}
    />
  );
}

function Kept() {
  const keeping = useSession((session) => session.keeping);
  const words = {
    kept: 'saved',
    keeping: 'saving …',
    looking: 'another tab writes it',
    'handing over': 'another tab takes it over',
    failed: 'not saved',
  }[keeping.kind];
  const look =
    keeping.kind === 'kept' || keeping.kind === 'keeping' ? 'text-ash' : 'font-semibold text-weld';
  return (
    <span role="status" className={`text-sm whitespace-nowrap ${look}`}>
      {words}
    </span>
  );
}

function Findings() {
  const findings = useFindings();
  if (findings.length === 0) return <span className="text-sm text-moss">no findings</span>;
  const trigger = {
    className: 'h-6 rounded-full border border-weld px-2.5 text-sm whitespace-nowrap text-weld',
    children: count(findings.length, 'finding'),
  };
  return (
    <Later kind="dialog" trigger={trigger}>
      {({ PanelPopup }, met) => (
        <PanelPopup label="Findings" trigger={trigger} {...met}>
          {findings.map((finding) => (
            <button
              key={finding.message}
              type="button"
              className="block w-full border-b border-rule px-3 py-2 text-start last:border-0 hover:bg-chosen"
              data-finding={finding.code}
              onClick={() => goToFinding(finding)}
            >
              <span className={finding.severity === 'error' ? 'text-madder' : 'text-weld'}>
                {finding.severity}
              </span>{' '}
              {finding.message}
              <span className="block text-sm text-ash">{finding.hint}</span>
            </button>
          ))}
        </PanelPopup>
      )}
    </Later>
  );
}
