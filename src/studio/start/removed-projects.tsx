import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useState } from 'react';
import { count } from '../../core/base';
import { bringBack, dropLongRemoved, dropProject, removedProjects } from '../../keeping';
import { Button } from '../shared/controls/controls';

const dayMs = 24 * 60 * 60 * 1_000;
const daysKept = 30;
/** So long what was just removed stands by itself, with the way back. */
const justRemovedMs = 60_000;

/** What was removed from this browser and can be brought back: the last one at once, all for 30 days. */
export function RemovedProjects() {
  const removed = useLiveQuery(() => removedProjects().catch(() => []), []) ?? [];
  const [now, setNow] = useState(Date.now);
  useEffect(() => {
    void dropLongRemoved().catch(() => {});
    const timer = setInterval(() => setNow(Date.now()), 5_000);
    return () => clearInterval(timer);
  }, []);
  const [last] = removed;
  if (last?.removedAt === undefined) return null;
  const isJust = now - last.removedAt < justRemovedMs;
  return (
    <section aria-label="Removed projects" className="pt-4">
      {isJust && (
        <p role="status" className="flex items-center gap-3 pb-2">
          <span>
            <b>{last.project.name}</b> was removed from this browser.
          </span>
          <Button isMain onPress={() => void bringBack(last.id)}>
            Bring {last.project.name} back
          </Button>
        </p>
      )}
      <details>
        <summary className="text-ash">{count(removed.length, 'removed project')}</summary>
        <ul className="pt-1">
          {removed.map(({ id, project, itemCount, removedAt = now }) => (
            <li key={id} className="flex flex-wrap items-center gap-2 py-1">
              <span className="min-w-0 truncate">{project.name}</span>
              <span className="text-sm text-ash">
                {count(itemCount, 'item')}, goes for good in{' '}
                {count(Math.max(1, Math.ceil(daysKept - (now - removedAt) / dayMs)), 'day')}
              </span>
              <span className="ms-auto flex gap-1.5">
                <Button label={`Bring ${project.name} back`} onPress={() => void bringBack(id)}>
                  Bring back
                </Button>
                <Button
                  label={`Remove ${project.name} for good`}
                  onPress={() => void dropProject(id)}
                >
                  For good
                </Button>
              </span>
            </li>
          ))}
        </ul>
      </details>
    </section>
  );
}
