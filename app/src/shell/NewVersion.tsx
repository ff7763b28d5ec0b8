import { Button } from '../parts/ui/Button';
import { loadNewVersion, type Version } from './newVersion';

const WORDS: Readonly<Record<Exclude<Version, 'same'>, string>> = {
  waiting: 'A new version of Loose Pulley is ready. This page goes on as it is until you load it.',
  replaced:
    'Another tab has loaded a new version of Loose Pulley. What you have here is saved as before; load it here when your hands are free.',
};

/** Asks before a new version takes over. */
export default function NewVersion({ version }: { readonly version: Exclude<Version, 'same'> }) {
  return (
    <section
      role="status"
      aria-label="New version"
      className="flex flex-wrap items-center gap-3 border-t border-ink bg-paper px-5 py-2 print:hidden"
    >
      <p className="grow">{WORDS[version]}</p>
      <Button onClick={loadNewVersion}>Load it now</Button>
    </section>
  );
}
