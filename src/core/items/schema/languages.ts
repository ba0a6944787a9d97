import type { TypeShape } from './write';
import { itemsSchema } from './write';

/** Languages whose data classes can be written, by the name that people choose them by. */
export const languages = {
  kotlin: 'Kotlin',
  swift: 'Swift',
  java: 'Java',
  csharp: 'C#',
  dart: 'Dart',
  python: 'Python',
  go: 'Go',
  rust: 'Rust',
} as const;

export type Language = keyof typeof languages;

/** Data classes by quicktype-core, made from the items' JSON Schema. Large: loaded when it is asked for. */
export async function dataClasses(
  language: Language,
  title: string,
  types: readonly TypeShape[],
  discriminator: string | null,
): Promise<string> {
  const { InputData, JSONSchemaInput, quicktype } = await import('quicktype-core');
  const input = new JSONSchemaInput(undefined);
  await input.addSource({
    name: title,
    schema: JSON.stringify(itemsSchema(title, types, discriminator)),
  });
  const inputData = new InputData();
  inputData.addInput(input);
  const { lines } = await quicktype({
    inputData,
    lang: language,
    rendererOptions: { 'just-types': 'true' },
  });
  return lines.join('\n');
}
