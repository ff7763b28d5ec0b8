import type { Fate, StepKind } from '../strip';

/* The words of a bench, by what they mean in a typed line of Strip. Data, and nothing else. Common practice, no source. */

/** A noun and what kind of thing it is. Dirt, discs, foreign objects and what brings the power are no part of a machine. */
export type NounKind = Exclude<StepKind, 'note'> | 'dirt' | 'disc' | 'object' | 'power' | 'look' | 'tool';

/** Nouns in the singular, words apart by a space, several words of one noun joined by an underscore. */
export const NOUNS: ReadonlyArray<readonly [NounKind, string]> = [
  [
    'screws',
    'screw scr bolt fastener grub_screw set_screw fixing machine_screw wood_screw self_tapper self_tapping_screw tapping_screw',
  ],
  ['nuts', 'nut wingnut wing_nut locknut lock_nut hex_nut'],
  [
    'clips',
    'clip c_clip e_clip circlip snap_ring retaining_ring retaining_clip spring_clip split_ring c_ring e_ring retainer cable_clip',
  ],
  ['springs', 'spring return_spring tension_spring coil_spring'],
  ['tabs', 'tab clasp claw latch hook catch lug tongue snap'],
  ['adhesive', 'label felt tape foam sticker foil pad felt_pad foam_strip felt_strip'],
  ['belt', 'belt o_ring rubber_band drive_band rubber_belt'],
  [
    'gear',
    'gear pinion worm cog sprocket gear_train gear_wheel cogwheel worm_gear worm_wheel toothed_wheel gear_stack stack_of_gears',
  ],
  [
    'connector',
    'plug connector conn flat_cable ribbon ribbon_cable ffc fpc flex socket jack header flat_flex flexi flat_flex_cable',
  ],
  ['cable', 'cable harness loom cab wiring'],
  ['wire', 'wire cord lead strand dial_cord'],
  [
    'cover',
    'lid cover case casing shield front panel bezel fascia plate bottom base hood guard shroud cowl trim top_case top ' +
      'top_half bottom_half upper_half lower_half back_panel back_plate rear_panel front_panel top_cover bottom_cover side_panel dust_cover cabinet housing lid_cover faceplate base_plate',
  ],
  [
    'part',
    'tray drawer motor board pcb card mechanism mech clamp bridge transport roller link bracket brkt fan foot carriage ' +
      'pickup sled magnet slider drive tensioner puck lever switch guide rod shaft pin washer shim spacer bushing bush pulley ' +
      'knob button rail rack chassis loader lens_assembly holder damper grommet mount arm lock stop stylus table ' +
      'turntable platter heat_sink speaker display transformer battery_holder cable_tie tie cassette cartridge deck_unit cam idler hub ' +
      'unit assembly assy block frame subframe cage door flap cap strut sleeve wheel flywheel capstan capstan_wheel stand standoff ' +
      'bearing rubber_mount rubber_foot rubber_ring rubber microswitch sensor solenoid head pole bar post screw_cap stack lift ' +
      'deck laser optics lens spindle regulator heat_sink_clamp pivot axle drum reel spool pinch_roller roller_link earth_strap earth_tag ' +
      'fuse relay antenna aerial cradle gate shutter ramp lifter caddy magazine carousel changer counterweight ring disc_clamp disc_table cd_table disc_tray disc_holder ' +
      'leaf switch_leaf lip dust_lip felt grommet ball strip star_washer lock_washer spring_washer hinge slot tag solder_tag lens_cap strap screen mode_part stop_arm weight dial encoder pot potentiometer trimmer led lamp bulb power_board mains_board power_supply mains_transformer mains_switch power_switch battery_door battery_cover',
  ],
  [
    'dirt',
    'sludge crumb fluff dust dirt hair insect spider moth wasp fly stuff goo gunk tar residue rust grease grime debris nest droppings film wax glue ' +
      'varnish soot ash sand oil lint muck cobweb gum smear corrosion',
  ],
  ['disc', 'disc disk cd dvd record test_disc junk_disc trial_disc cleaning_disc scrap_disc'],
  [
    'object',
    'coin toy pen pencil paper paperclip paper_clip staple crayon hairpin marble bead matchstick cracker biscuit playing_card stamp ' +
      'guitar_pick hairgrip hair_grip button_cell raisin sweet peanut needle toothpick earring toy_brick',
  ],
  [
    'power',
    'power mains mains_plug mains_lead mains_cable mains_cord mains_flex power_lead power_plug power_cable power_cord power_flex wall_plug wall_brick ' +
      'power_brick power_adapter power_adaptor mains_adapter brick adapter adaptor plug_top battery batteries battery_pack charger wall_wart psu_brick wall wall_socket mains_socket socket_in_the_wall',
  ],
  [
    'tool',
    'tweezers spudger finger fingernail pliers pick knife blade iron spanner screwdriver hand dot marker chalk paint scraper puller extractor hair_dryer heat_gun tray_of_screws cloth swab duster bag tin box cup lid_of_the_tin',
  ],
  [
    'look',
    'diagram drawing sketch photo picture pic snapshot photograph note mark dot arrow stripe hole tooth writing print text gap path crack split wear burr chip dent marking number_plate screw_hole',
  ],
];

export const IRREGULAR: Readonly<Record<string, string>> = {
  foot: 'feet',
  tooth: 'teeth',
  rubber_foot: 'rubber_feet',
  switch: 'switches',
  latch: 'latches',
  catch: 'catches',
  bush: 'bushes',
  brush: 'brushes',
  assembly: 'assemblies',
  fly: 'flies',
  box: 'boxes',
};
/** Nouns of which there is no several, and no number is asked. */
export const NO_PLURAL: ReadonlySet<string> = new Set(
  'chassis optics wiring sludge fluff dust dirt goo gunk tar rust grease grime debris droppings film wax glue varnish soot ash sand oil lint muck gum corrosion mains batteries rubber foam felt tape foil'.split(
    ' ',
  ),
);

/** What a verb says was done. Where a particle may decide, it is one of the later five. */
export type Done =
  | Fate
  | 'lift'
  | 'aside'
  | 'free'
  | 'come'
  | 'stay'
  | 'fit'
  | 'clean'
  | 'found'
  | 'bridge'
  | 'shade'
  | 'bring'
  | 'hang';

export const VERBS: ReadonlyArray<readonly [Done, string]> = [
  [
    'off',
    'removed remove removing unscrewed unscrew undone undo unbolted unbolt unfastened unfasten detached detach extracted extract took taken take taking ' +
      'unclipped unclip popped pop prised prise pried pry peeled peel slid slide slides slipped slip slips dropped withdrew withdrawn withdraw ' +
      'unpicked eased_off threaded_out fished undid undoing taking lifting pulling unplugging unscrewing freed_off got get whipped unsnapped unlatched unseated knocked drove drilled',
  ],
  ['come', 'came come comes coming fell falls flew jumped popped_off'],
  ['lift', 'lifted lift lifts raised raise lifting hoisted'],
  ['free', 'freed free released release releases pressed press squeezed pinched loosed unlocked'],
  ['aside', 'set put laid lay placed place'],
  [
    'loosened',
    'only_loose just_loose only_slack only_loosened just_loosened loosened loosen loosens slackened slacken eased loosening backed_off back_off',
  ],
  [
    'movedAside',
    'moved move pushed push swung swing tilted tilt hinged flipped flip flips swings pops tucked tipped propped bent bend bends shift shifted budge budged opened open swivelled tied pivoted parked_aside',
  ],
  ['foldedBack', 'folded fold'],
  ['turned', 'turned turn rotated rotate wound wind winds cranked crank spun spin turns'],
  ['pulled', 'pulled pull pulls unplugged unplug unplugs disconnected disconnect tugged yanked drawn plugged_off'],
  ['unhooked', 'unhooked unhook unstrung'],
  ['unsoldered', 'unsoldered unsolder desoldered desolder'],
  ['cut', 'cut snipped snip clipped_through'],
  ['marked', 'marked scribed labelled tagged'],
  [
    'noted',
    'lose lost forget drop glued bodged repaired siliconed painted altered makes made noted photographed sketched measured counted checked looked tested parked drew seen',
  ],
  ['clean', 'cleaned wiped brushed washed vacuumed'],
  ['stay', 'stays stay stayed staying remains remain remained kept'],
  ['fit', 'fitted refitted replaced refit screwed clipped plugged seated clipped_in screwed_in pushed_home'],
  ['found', 'found discovered'],
  ['hang', 'hangs hanging hung hang dangles dangling'],
  ['bring', 'brought bring'],
];

/** Particles: away from its place, only out of the way, on or back in its place. */
export const PARTICLES: Readonly<Record<'away' | 'aside' | 'home', string>> = {
  away: 'off out away straight_up',
  aside:
    'aside on_its_side on_edge upside_down on_its_back face_down out_of_the_way over up open forward forwards clear down half_out half_off part_way halfway half_way half_open half_in ajar upwards',
  home: 'on in back home fitted again back_in back_on back_together back_home refitted',
};

/** How something is found to be: in itself an observation, before its noun no more than how it looks. */
export const CONDITIONS = {
  /** A fault that is seen. */
  fault:
    'worn cracked broke broken bent stripped stuck seized rusty dirty oily torn melted brittle sticky shiny glazed damaged snapped chewed rounded perished ' +
    'split scratched dusty greasy rotten leaked leaking mouldy corroded burnt swollen faded crumbled crumbles dissolved jammed crooked misaligned crumbling ' +
    'stretched flattened frayed warped gooey wet slippery hardened shattered missing absent gone empty cross_threaded in_crumbs in_two_pieces in_three_pieces in_four_pieces in_2_pieces in_3_pieces in_4_pieces in_pieces in_bits in_shreds falling_apart fallen_apart ' +
    'to_tar to_goo to_crumbs out_of_line lopsided tired lying dead rattling rattles rattling_about broken_off snapped_off sheared_off torn_off fallen_off come_off rusted_solid solid squashed twisted greased greased_solid stopgap a_stopgap makeshift improvised too_many gummed gummed_up clogged locked blocked foreign wrong foul instead loose_inside worn_out worn_smooth',
  /** No more than how it looks. */
  plain: 'fine good original new old intact sound clean tidy free_moving',
  /** Only after its noun: found so. Before it, no more than how it looks. */
  state: 'dry loose slack tight hard stiff soft stretchy floppy noisy warm',
} as const;

/** How a fastener or a part looks: worth keeping of it. */
export const LOOKS =
  'loading eject opening closing red green blue white grey gray yellow orange gold golden pan flat countersunk csk flanged flange button cheese round domed dome black silver brass steel ' +
  'zinc self_tapping self_tapper self_tap coarse fine long short small large big tiny shouldered shoulder captive plastic machine wafer raised painted ' +
  'brown metal metallic rubber little thick thin wide narrow longer shorter smaller bigger square nylon copper chrome printed same different other ' +
  'main moulded molded keyed twin double single_ended nickel bright dark inner outer upper lower hidden deep self locking alike identical stray grounding earthing earth pink purple violet clear_plastic tinned';

/** Left as it is. */
export const LEAVING =
  'where_it_is where_they_are as_it_is as_they_are leave leaving left_alone left_on left_in left_in_place left_untouched left_fitted left_attached left_plugged left_as_is left_as_it_is left_where_it_is left_where_they_are left_be ' +
  'do_not_touch not_touched untouched not_to_be in_place still_attached still_plugged still_plugged_in still_fitted still_there alone kept_on not_disturbed stays_put let_be';

/** Kinds that hold something else, and are counted. */
export const FASTENERS: ReadonlySet<NounKind> = new Set(['screws', 'nuts', 'clips']);
/** Things small enough that a front, a top or a bottom beside them is a place. */
export const SMALL: ReadonlySet<NounKind> = new Set([
  'screws',
  'nuts',
  'clips',
  'springs',
  'tabs',
  'connector',
  'adhesive',
]);
/** Kinds of thing that are kinds of step. */
export const STEP_KINDS_SAID: ReadonlySet<NounKind> = new Set([
  'screws',
  'nuts',
  'clips',
  'springs',
  'tabs',
  'adhesive',
  'cover',
  'connector',
  'cable',
  'wire',
  'belt',
  'gear',
  'part',
]);

/** Said to somebody who does it: how something is got out, no deed. */
export const ORDERED: ReadonlySet<string> = new Set(
  'push press pull lift slide flip turn squeeze pinch release open clear tilt swing ease work wiggle hold slides lifts turns pulls'.split(
    ' ',
  ),
);
/** Of these a number after them is a name, and what follows belongs to it. */
export const NUMBERED: ReadonlySet<string> = new Set(
  'deck slot bay drive side station position place tray disc cd unit plug'.split(' '),
);
/** What has a plug of its own: unplugged, its plug is pulled. */
export const WHOLE_BY_ITSELF: ReadonlySet<string> = new Set(['cartridge', 'cassette', 'magazine', 'card']);
/** What is in a thing, and is what the line tells of. */
export const FULL_OF =
  /^(?:full of|covered (?:in|with)|coated (?:in|with)|caked (?:in|with)|wet with|clogged with|thick with)$/;
/** Nouns of which a later word tells only how a thing lay. */
export const LIES = /^(?:wire|side|label|tooth|contact|strand|pin|end|edge)$/;
/** Of these a few stand in a plug or a gear, and are no things that come off. */
export const PARTS_WITHIN = /^(?:pin|wire|tooth|contact|way|core)$/;
