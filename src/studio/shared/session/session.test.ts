import { expect, test } from 'vitest';
import { atOnce } from '../../../core/base';
import { infer } from '../../../core/items';
import { makeProject, startHistory } from '../../../core/project';
import { noSession, useKept, useSession } from './session';

const historyOf = (name: string) =>
  startHistory({
    ...makeProject(name, { format: 'json', at: '$', items: [] }, atOnce(infer([], name))),
    name,
  });

test('what is tried is not what is kept; what came from elsewhere meanwhile is', () => {
  const [before, tried, other] = [historyOf('before'), historyOf('tried'), historyOf('other')];
  useSession.setState({ ...noSession, history: before });
  useSession.setState({ history: tried, tried: { history: tried, kept: before.project } });
  expect(useKept.getState().history?.project.name).toBe('before');
  // Another tab took the project over, and nobody told the trial.
  useSession.setState({ history: other });
  expect(useKept.getState().history?.project.name).toBe('other');
});
