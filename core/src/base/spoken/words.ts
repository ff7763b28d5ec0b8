/* Words that say the same at every station. Common practice, no source. */

/** Places that need no preposition. */
export const PLACES =
  'left right rear back front top bottom underside underneath side sides corner corners centre center middle inner outer upper lower edge end ends lh rh ' +
  'inside outside rim up_top down_below up_front deep behind below above beneath left_hand right_hand';

/** What says where; the last two say that it came away from there as well. */
export const PREPOSITIONS = {
  at: 'from at in on under underneath behind beside near by of to into over above below between through around round along against inside outside holding securing fixing retaining for beneath across towards before after via full_of covered_in covered_with coated_in coated_with caked_in caked_with wet_with clogged_with thick_with next_to upon within in_front_of on_top_of under_neath like opposite to_get_at to_reach holds hold past with_by',
  away: 'off out_of off_of away_from free_of',
} as const;

/** Words that say nothing of the work by themselves. */
export const IDLE =
  "that's it's there's they're what's here's goes go runs run sits sit points pointing shows showing faces facing lives live lies lie hold holds holding is are was were be been being am has have had having does do did i we you it they he she them its itself then also just now next here there only even " +
  'very too quite really completely badly gently carefully easily together apart which that who this these those so as well please already yet once ' +
  'no_two_alike no_two_the_same all_alike all_the_same kept_in_bag kept_in_the_bag kept_safe bagged in_the_bag in_a_bag switched_off powered_off powered_down turned_off_at_the_wall all_the_way at_last at_once straight at_all by_hand by_itself of_course own more or anyway still both_of_them ok_then with_care fully slightly almost nearly about roughly ' +
  'approx round_about sideways backwards downwards forwards_slowly loosely properly all_round all_around everywhere in_all so_far first last no_problem my our your his her their';

/** Words that begin a spoken line. */
export const OPENERS =
  "okay ok hm hmm mm so er erm um uh right well now then and next first first_of_all let's_see alright righto hmm ah oh yes yep yeah";

/** What a line begins with that tells what to mind, not what was done. */
export const MINDING =
  'next_time mind take_care take_it careful carefully watch beware caution warning note nb remember remind check see ask order buy todo to_do think clean wash try look measure keep hold support use wear make_sure avoid always must should need needs why what where how maybe perhaps attention danger hot fragile sharp hands_off fingers_off stay_clear keep_off never_force never_mind if when';

/** What denies what is said beside it. */
export const DENYING =
  "not never don't doesn't didn't won't can't cannot couldn't wouldn't shouldn't isn't aren't wasn't weren't hasn't haven't no_need_to need_not needn't mustn't refuses_to refused_to unable_to can_not did_not could_not";

/** Of these a deed is only planned or told. */
export const TO_COME =
  'will must should may might could would going_to have_to has_to had_to to_come later to_be needs_to need_to still_to tomorrow says said manual expected supposed claims';

/** Whose doing it was, where it was not this bench's. */
export const OTHERS =
  'had_come has_come have_come had_fallen has_fallen have_fallen had_jumped has_jumped have_jumped had_slipped has_slipped have_slipped had_dropped has_dropped have_dropped had_popped has_popped have_popped had_worked_loose has_worked_loose had_worked has_worked somebody someone previous earlier_repair owner customer last_shop factory previous_owner last_owner previous_hands earlier_hands had_been has_been had_been_opened been_opened opened_before the_shop the_last_shop other_shop before_us shop_before_us last_person last_one last_owner last_technician last_repairer previous_repairer another_shop before_me they_had when_it_came when_it_arrived on_arrival when_i_opened_it when_opened already_off already_out last_repair previous_repair the_owner before_i_opened_it when_i_opened';

/** Count words. */
export const NUMBERS: Readonly<Record<string, number>> = {
  one: 1,
  single: 1,
  two: 2,
  both: 2,
  pair: 2,
  a_pair: 2,
  a_pair_of: 2,
  pair_of: 2,
  couple_of: 2,
  a_couple_of: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  half_a_dozen: 6,
  half_dozen: 6,
  two_pairs_of: 4,
  three_pairs_of: 6,
  seven: 7,
  eight: 8,
  nine: 9,
  ten: 10,
  eleven: 11,
  twelve: 12,
  dozen: 12,
  a_dozen: 12,
  zero: 0,
};

/** Words that say several, and not how many. */
export const VAGUE =
  'lots_of loads_of plenty_of a_lot_of all_but all_except all_bar another further some several few a_few all every various rest remaining many couple any all_the all_of_the most';

/** Which of several. */
export const ORDINALS = '1st 2nd 3rd 4th 5th first second third fourth fifth last';

/** Orders for later rather than deeds: grease it, order one. */
export const ORDERS = 'grease oil lubricate warm renew replace fit clean wipe degrease inspect test';
