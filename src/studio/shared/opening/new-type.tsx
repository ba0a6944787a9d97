import { useState } from 'react';
import type { SourceDocument } from '../../../engine';
import { Button } from '../controls/controls';

interface NewTypeProps {
  readonly onMake: (document: SourceDocument) => void;
}

/** An item type without items: it is called something, and has a name to begin with. */
export function NewType({ onMake }: NewTypeProps) {
  const [name, setName] = useState<string>();
  if (name === undefined) return <Button onPress={() => setName('')}>New item type</Button>;
  const make = () => {
    onMake(declared(name.trim() === '' ? 'item' : name.trim()));
    setName(undefined);
  };
  return (
    <span className="inline-flex items-center gap-1.5">
      <input
        // biome-ignore lint/a11y/noAutofocus: it was just asked for
        autoFocus
        aria-label="What one item is called"
        placeholder="one item is a …"
        className="h-7 w-32 rounded-md border border-rule bg-paper px-2 text-sm"
        value={name}
        onChange={(event) => setName(event.target.value)}
        onKeyDown={(event) => {
          if (event.key === 'Enter') make();
          if (event.key === 'Escape') setName(undefined);
        }}
      />
      <Button isMain onPress={make}>
        Make it
      </Button>
    </span>
  );
}

/** As a JSON Schema: types come from those everywhere. */
function declared(name: string): SourceDocument {
  const schema = {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    title: name,
    type: 'object',
    properties: { name: { type: 'string' } },
    required: ['name'],
  };
  return { file: new Blob([JSON.stringify(schema)]), name };
}
