import type { AuxKey } from '../measuring';

/* How a reading is said, as data. Common practice, no source. */

/** Words for ways of measuring besides those that the ways have themselves. */
export const WAY_WORDS: Readonly<Record<string, string>> = {
  doubledOuter:
    'flat_doubled doubled_up doubled_over folded_flat folded_in_half folded_over folded_double laid_double double flattened pressed_flat pulled_flat outer_ends outside_ends over_the_ends end_to_end_doubled',
  doubledInner: 'inner_end inside_the_folds between_the_folds inside_end',
  onPins: 'between_two_pins over_pins over_two_pins between_pins on_pins around_two_pins round_two_pins over_both_pins',
  overCap:
    'on_a_cap on_cap round_a_cap around_a_cap over_the_cap fits_a_cap hugs_a_cap over_a_lid over_a_jar over_a_jar_lid over_a_bottle_cap over_a_cup over_a_bottle bottle_cap jar_lid lid jar on_a_jar over_a_cone on_a_cone',
  twoCaps: 'between_two_caps between_caps',
  lyingFree: 'lying_free lying_round lying_flat_round across_lying lies_round as_it_lies inside_across across_inside',
  laidStraight:
    'laid_out laid_out_straight straightened straight_out end_to_end broken snapped torn in_one_piece one_piece opened_out stretched_out_straight broken_open cut_open broken_belt',
  inPieces:
    'bits three_bits two_bits in_bits bits_of pieces_of in_two_pieces in_three_pieces fragments in_two two_pieces three_pieces',
  printedLength:
    'printed_as_length label_says the_label_says on_the_bag_it_says on_the_label_it_says the_bag_says on_the_label on_its_label on_the_packet labelled marked says_on_the_bag on_the_bag bag_says package_says packet_says printed_on_it part_list list_says marked_as per_the_manual manual_says',
  printedDiameter: 'printed_as_diameter label_diameter printed_inner_diameter printed_inside_diameter',
  stringRound:
    'round_the_pulleys around_the_pulleys round_both_pulleys around_both_pulleys string_round string_round_the_pulleys string_around string_around_the_pulleys string_path string_length with_a_string by_string with_string thread_path thread_length string_measures string_wrapped string_round_both_pulleys cord string_loop',
};

/** How long a belt is inside, without how that was found: asked. */
export const BARE_LENGTH =
  'circumference inner_circumference inside_circumference all_round all_the_way_round around inner_length inside_length length long total_length perimeter loop_length';

/** Sizes of tools and things beside a reading. */
export const AUX_WORDS: Readonly<Partial<Record<AuxKey, string>>> = {
  sectionMm:
    'section thickness thick t cross_section wall side sides belt_section in_section of_section square_section mm_thick thick_belt section_size across_the_section thin',
  pinDiameterMm: 'pin pins pin_diameter pins_of each_pin diameter_pins',
  stringDiameterMm: 'string thread string_thickness thread_thickness cord string_diameter twine',
  nextCapMm: 'next not next_cap not_over the_next next_one next_size not_over_a not_on tight_on too_tight_on',
  secondDiameterMm: 'by across the_other_way other_way and_across crossways the_long_way',
};

/** Words that make a figure a rough one. */
export const ROUGH =
  'about roughly approximately approx circa around say maybe perhaps nearly almost some ish or_so more_or_less guess i_guess estimated by_eye give_or_take ca just_under just_over a_bit_under a_bit_over at_a_guess close_to';

/** What belts are called, and what else is said beside a figure and changes nothing. */
export const IDLE_HERE =
  'cut_it_open over fits goes going fitting callipers with_callipers calliper belt old the_old_belt old_belt the_belt band ring o_ring loop rubber reading reads read measures measured measuring measure measurement caliper calipers ruler rule tape with_a_ruler with_calipers on_the_ruler on_a_ruler on_a_rule by_caliper with_the_caliper comes_to came_to gives gave got get it_is is at of on to with for when a an the it and its from my this that inside outer_diameter was were ' +
  'tray_belt loading_belt drive_belt carriage lift_belt tray loading drive spindle black brown grey original outside pulled laid lying flat_on_the_bench on_the_bench exactly precisely total makes equals clean dry new total_of i_make_it i_get i_read i_measured i_have one has in size';

/** The words of numbers. */
export const UNITS_SAID: Readonly<Record<string, number>> = {
  zero: 0,
  oh: 0,
  nought: 0,
  one: 1,
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  seven: 7,
  eight: 8,
  nine: 9,
};
export const TEENS_SAID: Readonly<Record<string, number>> = {
  ten: 10,
  eleven: 11,
  twelve: 12,
  thirteen: 13,
  fourteen: 14,
  fifteen: 15,
  sixteen: 16,
  seventeen: 17,
  eighteen: 18,
  nineteen: 19,
};
export const TENS_SAID: Readonly<Record<string, number>> = {
  twenty: 20,
  thirty: 30,
  forty: 40,
  fifty: 50,
  sixty: 60,
  seventy: 70,
  eighty: 80,
  ninety: 90,
};
/** Parts of one: a half, three quarters, five eighths. */
export const PARTS_SAID: Readonly<Record<string, number>> = {
  half: 0.5,
  quarter: 0.25,
  quarters: 0.25,
  eighth: 0.125,
  eighths: 0.125,
  sixteenth: 0.0625,
  sixteenths: 0.0625,
};

/** Words of other things that a slip of these may look like: they are no slips, and asked about. */
export const NO_SLIPS = 'wide width high height deep depth tight tin kind find ride hide lift flap glad';
