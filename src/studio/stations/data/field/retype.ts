import { grouped } from '../../../../core/base';
import { decodingInWords } from '../../../../core/items';
import { edits, type FieldPlace } from '../../../../core/project';
import type { ScalarName } from '../../../../core/values';
import { makeForeseen } from '../../../shared/session/foreseeing';
import { engine } from '../../../shared/session/session';

/** Makes a field another type; values that would not be of it are counted before, with ways to read them as such. */
export async function retype(source: string, place: FieldPlace, type: ScalarName): Promise<void> {
  const asked = { source, type: undefined, path: place.path };
  const { valueCount, lost, ways } = await engine().tryType(asked, type);
  const instead = ways.map(({ decoding, readCount }) => {
    const of = readCount === valueCount ? 'all' : `${grouped(readCount)} of`;
    const name = `Read as ${type} (${decodingInWords(decoding)}): ${of} ${grouped(valueCount)}`;
    return { ...edits.decodeField(place, decoding), name };
  });
  makeForeseen(
    edits.retypeField(place, type),
    undefined,
    lost === undefined ? [] : [lost],
    instead,
  );
}
