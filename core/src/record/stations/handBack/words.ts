import type { Offer } from './schema';

export const OFFER_NAMES: Readonly<Record<Offer['answer'], string>> = {
  open: 'not answered',
  accepted: 'accepted',
  declined: 'declined',
};
