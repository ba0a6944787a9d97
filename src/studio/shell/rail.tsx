import { useFindings } from '../shared/session/findings';
import { goOnPress, hrefWithin, type StationName, useRoute } from '../shared/session/route';
import { stations } from './stations';

/** The stations in the order of the work, on one thread. */
export function Rail({ current }: { readonly current: StationName }) {
  const findings = useFindings();
  const { route } = useRoute();
  return (
    <nav
      aria-label="Stations"
      className="relative row-span-1 border-r border-rule max-[1000px]:border-r-0 max-[1000px]:border-b max-[1000px]:ps-2"
    >
      <svg
        className="absolute inset-y-0 left-[33px] h-full w-3 max-[1000px]:hidden"
        aria-hidden="true"
        preserveAspectRatio="none"
        viewBox="0 0 12 700"
      >
        <path
          d="M1 0C-5 90 9 150 1 220S9 330 1 420s6 140 1 280"
          transform="translate(3 0)"
          fill="none"
          stroke="var(--madder)"
          strokeWidth="1.5"
        />
      </svg>
      <ol className="relative flex flex-col gap-5 overflow-y-auto pt-4 max-[1000px]:h-full max-[1000px]:flex-row max-[1000px]:items-center max-[1000px]:gap-1.5 max-[1000px]:overflow-visible max-[1000px]:pt-0">
        {stations.map(({ name, words, about, Icon, owns }) => {
          const own = findings.filter((finding) => owns(finding.place)).length;
          return (
            <li key={name}>
              <a
                href={hrefWithin(route, { station: name })}
                title={about}
                aria-current={name === current ? 'page' : undefined}
                className="group flex w-full flex-col items-center gap-0.5"
                onClick={(event) => goOnPress(event, { station: name })}
              >
                <span className="relative grid size-7 place-items-center rounded-full border border-ash bg-wool group-hover:border-ink group-aria-[current=page]:border-ink group-aria-[current=page]:bg-ink group-aria-[current=page]:text-paper">
                  <Icon size={15} aria-hidden="true" />
                  {own > 0 && (
                    <span className="absolute -end-2 -top-1.5 grid h-4 min-w-4 place-items-center rounded-full bg-weld px-1 text-xs leading-none text-paper">
                      {own}
                      <span className="sr-only"> findings</span>
                    </span>
                  )}
                </span>
                <span className="bg-wool px-0.5 text-xs text-ash group-aria-[current=page]:font-semibold group-aria-[current=page]:text-ink max-[1000px]:sr-only">
                  {words}
                </span>
              </a>
            </li>
          );
        })}
      </ol>
    </nav>
  );
}
