import {
  dataClasses,
  declarations,
  itemsSchema,
  type Language,
  languages,
} from '../../../core/items';
import { MenuButton } from '../../shared/controls/controls';
import { saveText } from '../../shared/keeping/save-file';
import type { Current } from '../../shared/session/current';
import { engine } from '../../shared/session/session';

/** The item types for others: a schema, declarations, data classes. */
export function TypesMenu({ current }: { readonly current: Current }) {
  const { source, types } = current;
  const own = [source.name, types, source.discriminator] as const;
  const classes = (language: Language) => async () => {
    const text = await dataClasses(language, ...own);
    saveText(`${source.id}.${extensions[language]}`, text, 'text/plain');
  };
  const saveDeclarations = async () => {
    const seen = await engine().seen(source.id);
    saveText(`${source.id}.d.ts`, declarations(...own, seen), 'text/plain');
  };
  return (
    <MenuButton
      label="Types as"
      words="Types as"
      entries={[
        {
          words: 'JSON Schema',
          hint: '2020-12',
          onChoose: () =>
            saveText(
              `${source.id}.schema.json`,
              `${JSON.stringify(itemsSchema(...own), null, 2)}\n`,
              'application/schema+json',
            ),
        },
        {
          words: 'TypeScript',
          onChoose: () => void saveDeclarations(),
        },
        ...languageNames.map((language) => ({
          words: languages[language],
          onChoose: () => void classes(language)(),
        })),
      ]}
    />
  );
}

const extensions: Readonly<Record<Language, string>> = {
  kotlin: 'kt',
  swift: 'swift',
  java: 'java',
  csharp: 'cs',
  dart: 'dart',
  python: 'py',
  go: 'go',
  rust: 'rs',
};

const languageNames: readonly Language[] = [
  'kotlin',
  'swift',
  'java',
  'csharp',
  'dart',
  'python',
  'go',
  'rust',
];
