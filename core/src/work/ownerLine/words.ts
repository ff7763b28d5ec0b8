/* How owners and benches say what a machine does wrong, as data. Common practice, no source. */

/** An answer of a test that words give; `move` stands for the test of the direction that was spoken of. */
export type Answer = readonly [testId: string, outcome: string];

/** What moves: out of the machine, into it, or either. */
export const MOVES: Readonly<Record<'out' | 'in', string>> = {
  out:
    'open opens opening opened eject ejects ejecting ejected come_out comes_out coming_out came_out slide_out slides_out go_out goes_out move_out moves_out give_it_back give_the_disc_back ' +
    'give_discs_back give_back let_go get_the_disc_out get_it_out spit_out spits_out release_the_disc let_the_disc_out out up come_up comes_up rise rises lifts come_open',
  in:
    'close closes closing closed shut shuts shutting go_in goes_in going_in go_back_in goes_back_in pull_in pulls_in draw_in draws_in take_a_disc takes_a_disc take_discs takes_discs take_a_disc_in take_the_disc ' +
    'takes_the_disc take_it takes_it accept accepts accept_discs accept_a_disc load loads loading swallow swallows slide_in slides_in retract retracts take_one takes_one come_down go_down goes_down stay_shut draw_the_disc_in pull_the_disc_in',
};
/** A movement, of whichever way. */
export const MOVES_EITHER =
  'move moves moving budge budges turn run work working go start starts begin begins react reacts respond responds';

/** How a movement goes: after it, before it or by itself. */
export const MANNERS: Readonly<Record<'part' | 'slow' | 'reverses', string>> = {
  part:
    'half_way halfway part_way partway stops_half_way stops_halfway stops_part_way stops_short stops stop stopping sticks sticking stick stuck gets_stuck get_stuck got_stuck hangs hangs_up jams jam jammed jamming catches half_out half_in half_open a_bit ' +
    'a_little only_a_bit an_inch a_centimetre two_centimetres a_few_millimetres not_all_the_way not_fully not_completely partly partially in_the_middle midway binds stutters jerks stops_and_starts stalls stalling struggles labours struggling strains does_not_make_it',
  slow: 'slow slowly sluggish sluggishly takes_ages takes_forever crawls crawling creeps creeping lazy lazily tired takes_its_time takes_long very_slow slow_to slow_at slowing too_slow',
  reverses:
    'opens_again closes_again goes_straight_back_in straight_back_in goes_straight_back straight_back comes_back_out comes_back comes_straight_back comes_out_again pops_out_again opens_by_itself closes_by_itself by_itself by_its_own on_its_own goes_back goes_back_in_again turns_back reverses reversing opens_and_closes changes_its_mind gives_it_back ' +
    "gives_the_disc_back spits_it_out spits_the_disc_out spits_discs_out shuts_again pops_open pops_back_out goes_in_and_out in_and_out closes_itself opens_itself bounces_back straight_out_again back_out_again will_not_stay_closed will_not_stay_shut won't_stay_shut won't_stay_closed does_not_stay_closed does_not_stay_shut",
};

/** What stands for a movement that does not happen. */
export const NOTHING: Readonly<Record<'out' | 'in' | 'either', string>> = {
  out: 'stays_shut stays_closed remains_closed stuck_shut stuck_closed will_only_open_by_hand keeps_the_disc keeps_it keeps_discs keeps_the_disk disc_stuck_inside disc_stuck disc_is_stuck holds_on_to_the_disc stays_down no_eject locked_shut',
  in: 'stays_open remains_open stuck_open refuses_discs refuses_a_disc refuses_the_disc rejects_discs stays_out stays_up stuck_out left_open',
  either:
    'dead does_nothing nothing_happens nothing_moves no_reaction no_response lifeless no_sign_of_life nothing_at_all does_nothing_at_all no_movement not_a_twitch unresponsive frozen',
};

/** Sounds, by the answer that each gives. */
export const SOUNDS_SAID: ReadonlyArray<readonly [words: string, answer: Answer]> = [
  [
    'whirr whirrs whirring whir whirs whirring hum hums humming spins_freely motor_runs motor_turns motor_spins buzz buzzes buzzing motor_running i_hear_the_motor can_hear_the_motor hear_the_motor hear_it_whirr motor_races races runs_on motor_hums motor_whirrs motor_buzzes',
    ['sound', 'runsFree'],
  ],
  ['click clicks clicking tick ticks ticking clicked clack clacks clacking tock', ['sound', 'click']],
  [
    'squeal squeals squealing squeak squeaks squeaking squeaky screech screeches screeching chirp chirps chirping shriek shrieks whine whines',
    ['sound', 'screech'],
  ],
  [
    'grind grinds grinding growl growls growling crackle crackles crackling crunch crunches crunching grate grates grating rumble rumbles rumbling graunch graunches rasps rasping ratchet ratchets ratcheting',
    ['sound', 'growl'],
  ],
  [
    'silent silence no_sound no_noise quiet not_a_sound dead_quiet without_a_sound soundless no_motor_sound',
    ['sound', 'silence'],
  ],
  ['rattle rattles rattling something_loose something_loose_inside rattled bits_rattle', ['rattle', 'rattles']],
];

/** What else is said that answers a test. */
export const OTHER_ANSWERS: ReadonlyArray<readonly [words: string, answer: Answer]> = [
  [
    'pulls_to pull_to drifts drift crooked crookedly askew slanted skewed out_of_square not_square lopsided needs_an_align misaligned off_its_track off_track off_its_rails one_side_first to_one_side leans at_an_angle skewwhiff wonky tilted not_straight hangs_to_one_side pulls_to_the_right pulls_to_the_left off_the_rails derailed',
    ['track', 'drifts'],
  ],
  [
    'help_it helped helping when_helped with_help if_helped helped_along help_it_along helped_by_hand only_when_helped by_hand pull_it pulled if_i_pull when_i_pull when_pulled if_pulled with_a_finger push_it pushed when_pushed with_a_push needs_a_push needs_a_pull needs_help needs_a_hand needs_a_nudge with_a_nudge nudge_it pulling_it tug with_a_tug unless_pulled unless_i_pull unless_helped slides_freely slides_out_freely moves_freely goes_freely comes_out_freely runs_freely_by_hand has_to_be_pulled have_to_pull have_to_pull_it prise pry give_it_a_push',
    ['pull', 'comes'],
  ],
  [
    'tap tapped tapping tap_it when_tapped if_i_tap if_i_tap_it when_i_tap_it knock knocked knock_it a_knock after_a_tap with_a_tap hit_it hitting_it thump_it slap slapped a_slap bang_it bang a_bang smack with_a_thump after_a_thump',
    ['tapped', 'helps'],
  ],
  ['until_it_gets_hot until_hot until_it_is_hot until_it_gets_warm', ['warm', 'worseWarm']],
  [
    'until_it_warms until_warm until_it_is_warm until_it_warms_up works_when_warm warmed_up after_warming_up once_warm',
    ['warm', 'betterWarm'],
  ],
  [
    'no_disc says_no_disc does_not_read reads_nothing cannot_read not_recognised not_recognized unreadable does_not_play plays_nothing will_not_play no_disk will_not_read does_not_recognise cannot_find_the_disc disc_error disk_error focus_error no_focus toc_error shows_no_disc never_reads not_reading',
    ['reads', 'no'],
  ],
  [
    'skips skip skipping slow_to_read takes_long_to_read takes_ages_to_read read_errors read_error error_after_spinning reading_errors errors jumps_tracks stutters_when_playing drops_out reads_slowly reads_discs_slowly slow_reading hesitates_to_read',
    ['reads', 'slow'],
  ],
  [
    'since_the_repair since_a_repair since_my_repair since_the_service since_the_move after_the_repair after_a_repair after_the_service after_a_service since_the_belt after_the_belt since_a_new_belt somebody_opened_it somebody_repaired_it repaired_before since_it_was_opened since_it_was_repaired after_it_was_repaired since_i_opened_it since_i_changed_the_belt after_i_changed_the_belt since_i_had_it_open since_it_was_serviced after_a_belt_change since_the_belt_change',
    ['afterWork', 'yes'],
  ],
  ['unplugged_it_and_it_works works_after_unplugging unplugging_helps', ['unplug', 'works']],
  ['unplugging_does_not_help unplugged_it_no_change', ['unplug', 'same']],
  [
    'disc_does_not_spin disc_does_not_turn disk_does_not_turn disk_does_not_spin disc_is_not_turning disk_is_not_turning disc_does_not_rotate disk_does_not_rotate disc_never_turns disk_never_turns does_not_spin will_not_spin no_spin not_spinning does_not_spin_up will_not_spin_up never_spins_up',
    ['spins', 'still'],
  ],
  ['spins it_spins spins_fine', ['spins', 'spins']],
];

/** Under what it goes well or ill. */
export const CONDITIONS: Readonly<Record<'cold' | 'warm' | 'empty' | 'loaded', string>> = {
  cold: 'cold when_cold when_it_is_cold in_the_cold in_winter from_cold cold_morning cold_mornings on_cold_mornings in_the_morning in_the_mornings mornings some_mornings first_thing',
  warm: 'warm when_warm when_it_is_warm hot when_hot when_it_is_hot once_hot gets_hot when_it_gets_hot after_an_hour after_a_while after_some_time after_half_an_hour after_playing_for_a_while in_summer after_a_few_discs',
  empty: 'empty when_empty without_a_disc with_no_disc_in with_no_disc when_it_is_empty if_empty',
  loaded: 'loaded when_loaded with_a_disc with_a_disc_in with_discs_in when_full',
};
/** What goes well or ill under a condition, as it answers a test. */
export const UNDER: Readonly<Record<keyof typeof CONDITIONS, { readonly ill: Answer; readonly well: Answer }>> = {
  cold: { ill: ['warm', 'betterWarm'], well: ['warm', 'worseWarm'] },
  warm: { ill: ['warm', 'worseWarm'], well: ['warm', 'betterWarm'] },
  empty: { ill: ['emptyLoaded', 'failsEmpty'], well: ['emptyLoaded', 'failsLoaded'] },
  loaded: { ill: ['emptyLoaded', 'failsLoaded'], well: ['emptyLoaded', 'failsEmpty'] },
};
/** What says that it goes well. */
export const WELL =
  'fine ok okay works worked all_right good perfect perfectly no_trouble no_issues no_trouble_at_all no_problem without_trouble';
/** What says that it goes ill, and not how. */
export const ILL =
  'fails fail failing goes_wrong go_wrong acts_up plays_up misbehaves shy moody trouble problems faulty tray_error tray_fault loading_error load_error loading_fault mechanism_error mechanism_fault mech_error eject_error drawer_error error';

/** Words after which nothing is so any more, or never was here. */
export const NO_MORE =
  'no_longer used_to not_any_more never_did stopped no_more does_not_any_more anymore any_more it_is_not isnt_the without_any neither nor except_the apart_from';
/** What was so before; where a later clause tells how it is now, it is no more. */
export const ONCE = /\b(?:was|were|had|used to|opened|closed|for years|before|at first|once)\b/i;
export const SINCE = /\bnow\b|\bthese days\b|\blately\b/i;
/** Who or what else is spoken of. */
export const NOT_THIS =
  'the_other_one my_other other_player another_one his_other like_my_old_one before_that the_old_one last_year the_remote remote volume knob radio display speaker speakers headphone headphones amplifier keys front_keys the_sound_crackles sound_crackles the_music';
/** What a complaint holds besides, and what answers nothing. */
export const IDLE_HERE =
  'lift black white grey silver red blue green gold old new small large big broken hall kitchen bedroom office studio kids ' +
  'it the tray drawer door lid disc discs disk disks player drive deck machine unit motor loader slot mechanism front when if on press pressed pressing push pushed pushing key eject_key button eject_button to and but or then so also with at from for of in after before sometimes often mostly usually always ' +
  'now again first second third time times day days week weeks since for_a_while for_years lately recently suddenly every once twice all only just still even than more most one two three a an its is was has been be gets got get will does do did can i my you we they he she owner says said customer would could this that there here what which who how ' +
  'inside belt fully properly right back down little sound sounds noise noises makes making make hear heard like as by not_sure little much many any some very really quite too until while long minutes minute seconds second hour hours help please today yesterday please ok';
/** What leads to a code and is no thing that is spoken of; the code itself means what its maker says, and no more is read of it. */
export const SHOWS =
  'display_says display_shows display_reads shows says reads displays the_display_says the_display_shows';
/** Words before a code, and a code: letters and figures. */
export const CODE_WORDS = /^(?:error|err|fault|code|number|no)$/i;
export const CODE = /^[a-z]{0,3}-?\d{1,4}[a-z]?$/i;

/** What denies within a complaint, beyond what denies anywhere. */
export const REFUSES =
  "won't will_not wont doesn't does_not doesnt didn't did_not can't cannot can_not refuses refuses_to refused_to fails_to failed_to no never not unable_to stopped_to isn't is_not unwilling_to reluctant_to nor_does won’t wouldn't would_not hardly_ever hardly rarely";
