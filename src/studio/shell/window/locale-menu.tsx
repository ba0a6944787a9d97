import { edits } from '../../../core/project';
import { MenuButton } from '../../shared/controls/controls';
import { make } from '../../shared/session/editing';
import { useLocale } from '../../shared/session/locale';
import { setWindow } from '../../shared/session/route';
import { useProject } from '../../shared/session/session';

/** Locales that are often asked for; any other can be added in the project file. */
const others =
  'en en-GB en-IN de de-CH fr es pt-BR it nl sv pl cs ru uk el tr ar he hi bn th vi id ja ko zh'.split(
    ' ',
  );

const names = new Intl.DisplayNames('en', { type: 'language' });

/** The locale that the rows are shown in: one of the project's, or one more for it. */
export function LocaleMenu() {
  const project = useProject();
  const own = project?.locales ?? ['en'];
  const shown = useLocale();
  return (
    <MenuButton
      label="Locale"
      words={shown}
      entries={[
        ...own.map((locale) => ({
          words: locale,
          hint: names.of(locale),
          isChosen: locale === shown,
          onChoose: () => setWindow({ locale }),
        })),
        ...others
          .filter((locale) => !own.includes(locale))
          .map((locale) => ({
            words: `add ${locale}`,
            hint: names.of(locale),
            onChoose: () => {
              if (make(edits.setLocales([...own, locale])) === undefined) setWindow({ locale });
            },
          })),
      ]}
    />
  );
}
