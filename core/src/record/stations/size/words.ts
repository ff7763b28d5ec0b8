import type { FittedBecause, Verdict } from '../drives/schema';

export const FITTED_BECAUSE_NAMES: Readonly<Record<FittedBecause, string>> = {
  unknown: 'unknown',
  failed: 'the old one failed',
  preventive: 'before it fails',
  pair: 'the other of a pair',
  ownersWish: 'the owner’s wish',
};

export const VERDICT_NAMES: Readonly<Record<Verdict, string>> = {
  untried: 'not tried yet',
  right: 'right',
  tooLoose: 'too loose',
  tooTight: 'too tight',
  twisted: 'twisted',
};
