/**
 * By what something is recommended, kept, called likely, or called a tie: knowing apart from choosing. Our judgement, no
 * source; each is used wherever that question is asked, and nowhere else is there a number for it.
 */
export const THRESHOLDS = {
  /** A belt is recommended, ordered, stocked, or taken from the drawer from here on: below, it is likelier to fail than to work. */
  recommend: 0.5,
  /** The same once belts were tried here that did not do: what is left is rarely likely, and still the best there is. */
  recommendAfterTries: 0.15,
  /** Belts whose chances lie this near together are one answer: two of a thousand drives would decide between them. */
  tie: 0.01,
  /** Another section must be likelier by this before the old one is left: the groove was made for the old one. */
  leaveSection: 0.05,
  /** Sections nearer than this, in logarithm of the ratio, are the old one: half the step between two on sale. */
  sameSectionLog: 0.14,
  /** A size between two on sale is as good as the better of them within this. */
  asGood: 0.03,
  /** On the slip stand the sizes that do about as well as the one asked for: a shop may have only one of them. */
  onTheSlip: 0.15,
  /** A verdict to which less chance was given is told to be a surprise, with what would explain it. */
  surprising: 0.2,
  /** What would explain a surprise is said from so many standard uncertainties on: less is noise. */
  explains: 0.35,
  /** A reading is worth taking where what it leaves open is less than this share of what is open now. */
  worthReading: 0.6,
  /** One that could be ordered instead of the drawer's own is shown beside it from so many points of a hundred on. */
  drawerPoints: 1,
  /** What lies in the drawer is recommended unless one that can be ordered is likelier to work by more than this. */
  worthOrdering: 0.03,
  /** So many belts judged right on sisters prove a size for the mechanism. */
  provenTries: 2,
  /** What they prove is taken unless another is likelier by more than this: the verdicts count in the chances already. */
  leaveProven: 0.02,
  /** From so many machines on, the mechanism's own path is told before anything is measured. */
  machinesEnough: 3,
  /** A size is bought for stock where it serves at least so many more jobs a year: less nobody would see. */
  stocked: 0.05,
  /** A cause is called found from here on; the table is right in about nine of ten of them. */
  sureCause: 0.8,
  /** Below this a cause is no reason to ask further. */
  rareCause: 0.03,
  /** A promise kept with less chance than this is shown to be at risk. */
  promiseAtRisk: 0.75,
} as const;
