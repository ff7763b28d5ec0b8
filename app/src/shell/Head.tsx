import { lazy, Suspense } from 'react';
import { NavLink, useLocation } from 'react-router';
import { themeChosen } from '../state/store/settings';
import { useAppDispatch, useAppSelector } from '../state/store/hooks';
import { useDark } from '../parts/ui/useDark';
import { Button } from '../parts/ui/Button';
import { cx } from '../parts/ui/cx';
import { KeyCap } from '../parts/ui/KeyCap';
import { PLACES } from './places';
import { isDemo, isPractice } from '../state/boot';

// Nobody changes the unit before the page stands.
const UnitChoice = lazy(() => import('./UnitChoice'));

/** The mark: two pulleys and a belt that has gone slack. */
function Logo() {
  return (
    <svg viewBox="0 0 34 24" aria-hidden className="h-6 w-[34px] fill-none stroke-current stroke-[2.2]">
      <circle cx="24" cy="12" r="8.5" />
      <circle cx="5.5" cy="14" r="3" />
      <path d="M5 11C11 12 16 8 21 4M5.5 17C12 21.5 18 22.5 25 20.5" />
    </svg>
  );
}

export function Head({ onJump, onHelp }: { readonly onJump: () => void; readonly onHelp: () => void }) {
  const dispatch = useAppDispatch();
  const dark = useDark();
  const ticket = useAppSelector(({ openTicket }) => openTicket.ticket);
  const { pathname } = useLocation();
  const tab = ({ isActive }: { isActive: boolean }) =>
    cx(
      'flex min-h-[52px] items-center border-y-[3px] border-t-transparent px-2.5 max-sm:px-2',
      isActive ? 'border-b-live font-semibold' : 'border-b-transparent',
    );
  return (
    <header className="flex flex-wrap items-center gap-x-4 border-b border-ink px-5 max-sm:gap-x-1.5 max-sm:px-3 print:hidden">
      <NavLink
        to="/"
        className={cx('flex min-h-12 items-center gap-2.5', ticket.status === 'open' && 'max-sm:hidden')}
        aria-label="Loose Pulley, to the Bench"
      >
        <Logo />
        <span className="wide text-[17px] font-bold whitespace-nowrap max-sm:hidden">Loose Pulley</span>
      </NavLink>
      <nav aria-label="Main" className="flex">
        <NavLink to="/" end className={tab}>
          {isPractice ? 'Practice' : 'Bench'}
        </NavLink>
        {ticket.status === 'open' && (
          <NavLink
            to={`/t/${ticket.id}`}
            className={({ isActive }) => tab({ isActive: isActive || pathname.startsWith('/t/') })}
          >
            Ticket
          </NavLink>
        )}
        {PLACES.map(
          ({ path, name, head, apart }) =>
            head &&
            // What is ordered, kept and planned is the bench's own.
            !(isPractice && path !== 'log') &&
            (apart ? (
              // Another bench: nothing that is open here goes along. A phone finds it below the Bench.
              <a key={path} href={`/${path}`} className={cx(tab({ isActive: false }), 'max-sm:hidden')}>
                {name}
              </a>
            ) : (
              <NavLink
                key={path}
                to={`/${path}`}
                className={({ isActive }) =>
                  tab({ isActive: isActive || head.some((other) => pathname.startsWith(other)) })
                }
              >
                {name}
              </NavLink>
            )),
        )}
      </nav>
      <div className="ml-auto flex items-center gap-x-3 max-sm:gap-x-1">
        {isPractice && (
          <a href="/" aria-label="Back to the bench" className="inline-flex min-h-11 items-center underline">
            <span className="max-sm:hidden">Back to the bench</span>
            <span className="sm:hidden">Bench</span>
          </a>
        )}
        {isDemo && <span className="text-sm text-soft max-md:hidden">Demo bench, Wrackline Folk Archive</span>}
        <span className="flex min-w-[88px] justify-end max-sm:hidden">
          <Suspense fallback={null}>
            <UnitChoice />
          </Suspense>
        </span>
        <Button
          look="quiet"
          className="max-sm:hidden"
          aria-pressed={dark}
          onClick={() => dispatch(themeChosen(dark ? 'light' : 'dark'))}
        >
          Dark
        </Button>
        <Button look="quiet" className="min-w-11 justify-center no-underline" aria-label="Jump" onClick={onJump}>
          <KeyCap>/</KeyCap>
        </Button>
        <Button look="quiet" className="min-w-11 justify-center no-underline" aria-label="Keys" onClick={onHelp}>
          <KeyCap>?</KeyCap>
        </Button>
      </div>
    </header>
  );
}
