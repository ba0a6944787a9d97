import { writeExpected } from '../../src/core/handoff';
import { contentsFor } from '../../src/core/pictures';
import { expectedOf, ownFonts } from '../../src/engine';
import { print } from '../output';
import { measuresWith, packMeasures, projectFile } from '../project';

/** What every sample item of a project must show, as the file that another renderer is tested against. */
export async function expectRows(file: string): Promise<void> {
  const { project, items, contents } = await projectFile(file);
  const fonts = await ownFonts(contentsFor(project.fonts ?? [], contents));
  const expected = await expectedOf({ project, items }, packMeasures(measuresWith(fonts)));
  print(writeExpected(expected));
}
