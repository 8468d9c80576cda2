import type { CauseId, Symptom, SymptomPlace } from '@/core/symptoms'

export const PLACE_NAMES: Record<SymptomPlace, string> = {
  oldLeaves: 'Old leaves',
  newLeaves: 'New leaves',
  wholePlant: 'Whole plant',
  fruit: 'Fruit',
  roots: 'Roots and tubers',
  seedlings: 'Seedlings',
  mix: 'The mix itself',
}

interface SymptomText {
  seen: string
  /** When it is something else. */
  else: string
  ask: string
}
const CLINIC = 'a plant clinic'
const EXTENSION = 'your extension service'
const LOCAL = 'a grower who knows the place, or your extension service'

/** What is seen, in words; when it is something else; whom to ask. From memory, see docs/method/symptoms.md. */
export const SYMPTOM_TEXTS: Record<Symptom['id'], SymptomText> = {
  old_leaves_yellow_even: {
    seen: 'Older leaves pale to yellow all over, growth slow',
    else: 'The lowest leaves yellow with age; wilts yellow one side first.',
    ask: `${EXTENSION} or ${CLINIC}`,
  },
  new_leaves_yellow_green_veins: {
    seen: 'Youngest leaves yellow, their veins green',
    else: 'Mites and some weedkillers bleach leaves; a virus mottles them.',
    ask: EXTENSION,
  },
  old_leaves_yellow_between_veins: {
    seen: 'Older leaves yellow between the veins, sometimes red or bronze',
    else: 'Leaf mould and spider mites: look beneath the leaf with a lens.',
    ask: CLINIC,
  },
  old_leaf_edges_brown: {
    seen: 'Edges of old leaves yellow, then brown; fruit ripens badly',
    else: 'Leaf blights begin as spots.',
    ask: CLINIC,
  },
  leaf_tips_brown: {
    seen: 'Tips and edges burnt on many leaves; a crust on the rim',
    else: 'Wind and frost scorch too, on the open side.',
    ask: 'your water supplier for an analysis, or a laboratory',
  },
  middle_leaves_netted: {
    seen: 'Young and middle leaves pale in a fine net of green veins, later with grey or brown specks',
    else: 'Mites leave pinpricks and webs: look with a lens.',
    ask: EXTENSION,
  },
  tips_white_limp: {
    seen: 'Tips of the youngest leaves white, limp or twisted; onion and lettuce stay pale and soft',
    else: 'Frost whitens tips in one night.',
    ask: 'a laboratory for a leaf test, before any copper',
  },
  leaves_cup_roots_brown: {
    seen: 'Older leaves yellow between the veins and cupped; root tips orange to brown, with a sound stem',
    else: 'Root rot: the skin slips off the root.',
    ask: CLINIC,
  },
  edges_scorch_leaf_drop: {
    seen: 'Leaf edges dry from the tip inwards, leaves drop while green: berries, beans, avocado first',
    else: 'Wind and heat scorch the open side.',
    ask: 'your water supplier for chloride and sodium, or a laboratory',
  },
  root_knots: {
    seen: 'Knots or swellings on the roots, plants small and wilting at noon',
    else: 'Nodules of peas and beans rub off with a finger and are pink inside: leave them.',
    ask: CLINIC,
  },
  corky_blisters: {
    seen: 'Watery blisters beneath the leaves that turn to cork',
    else: 'Rusts and mites: look with a lens.',
    ask: LOCAL,
  },
  purple_leaves: {
    seen: 'Leaves dark or purple beneath, plants small',
    else: 'Some sorts are purple by nature.',
    ask: LOCAL,
  },
  bottom_rot_fruit: {
    seen: 'Sunken leathery patch at the flower end of tomato, pepper or squash',
    else: 'Rot with mould on it grows from a crack.',
    ask: CLINIC,
  },
  new_leaves_die_tip: {
    seen: 'Growing tip and youngest leaves brown, hooked or dead',
    else: 'Frost and mites leave them distorted or glossy.',
    ask: CLINIC,
  },
  thick_brittle_corky: {
    seen: 'Stems cracked or corky, hearts hollow, beet black inside',
    else: 'Hail and knocks.',
    ask: 'a laboratory for a leaf test, before any boron',
  },
  edges_yellow_after_trace: {
    seen: 'Edges of the oldest leaves die soon after a trace feed or borax',
    else: 'Salt burn: read the salts.',
    ask: 'a laboratory for a leaf test',
  },
  brown_specks_old_leaves_acid: {
    seen: 'Brown specks and cupping on old leaves in a sour mix',
    else: 'Specks of a disease have wet rings.',
    ask: CLINIC,
  },
  cauliflower_strap_leaf: {
    seen: 'Cauliflower or broccoli leaves narrowed to the midrib',
    else: 'Swede midge: look for tiny larvae in the heart.',
    ask: EXTENSION,
  },
  pale_new_leaves_even: { seen: 'New leaves evenly pale, old ones green', else: 'A virus.', ask: CLINIC },
  small_rosette_leaves: {
    seen: 'Small narrow leaves in a rosette, short joints',
    else: 'Viruses and mites.',
    ask: EXTENSION,
  },
  twisted_fern_leaves: {
    seen: 'New leaves cupped, fern-like or twisted; stems bent',
    else: 'Virus mosaics, and mites under a lens.',
    ask: `the supplier, your pesticide authority, ${EXTENSION}`,
  },
  wilt_wet_mix: {
    seen: 'Wilts although the mix is wet',
    else: 'A wilt: the stem is brown inside. A borer in the stem.',
    ask: CLINIC,
  },
  wilt_dry_daily: {
    seen: 'Wilts by noon each day, the mix dry and light',
    else: 'Large leaves flag at noon and stand again by evening.',
    ask: LOCAL,
  },
  water_runs_off: {
    seen: 'Water runs down inside the wall or beads on top',
    else: 'An ants’ nest in the pot.',
    ask: LOCAL,
  },
  water_stands: {
    seen: 'Water stands on top for minutes',
    else: 'A worm or a plug of roots in the holes.',
    ask: LOCAL,
  },
  white_crust: {
    seen: 'White or yellow crust on mix or pot',
    else: 'Mould is fluffy and smells of mushrooms.',
    ask: LOCAL,
  },
  green_slime: { seen: 'Green film, moss or liverwort on top', else: 'It harms no crop.', ask: LOCAL },
  bad_smell: { seen: 'Smells of rotten eggs, vinegar or ammonia', else: 'Pets, or a drain.', ask: LOCAL },
  mix_hot: {
    seen: 'Mix or heap warm to hot days after mixing',
    else: 'A large heap can catch fire by itself: keep it low and damp.',
    ask: LOCAL,
  },
  mushrooms: {
    seen: 'Toadstools or white threads in the mix',
    else: 'Keep children and pets away: some are poisonous.',
    ask: 'a poison centre where any was eaten',
  },
  seedlings_fall: {
    seen: 'Seedlings keel over at the surface',
    else: 'Cutworms bite clean through.',
    ask: CLINIC,
  },
  seeds_fail: {
    seen: 'Seeds do not come up, or unevenly',
    else: 'Mice, birds, slugs, seed flies.',
    ask: LOCAL,
  },
  stunted_roots_short: {
    seen: 'Growth stops; root tips brown and stubby',
    else: 'Knots like beads are nematodes; white grubs are vine weevil.',
    ask: CLINIC,
  },
  roots_circling: {
    seen: 'Roots go round and round; water runs through, it dries fast',
    else: '',
    ask: LOCAL,
  },
  mix_sinks: { seen: 'The mix has sunk far below the rim', else: 'Moles, dogs, ants.', ask: LOCAL },
  fungus_gnats: {
    seen: 'Small black flies, thin white grubs in the top',
    else: 'Shore flies, harmless, live on green film.',
    ask: EXTENSION,
  },
  lush_no_fruit: {
    seen: 'Dark leaves, much growth, few flowers',
    else: 'No bees: flowers drop unset.',
    ask: LOCAL,
  },
  roots_fork: { seen: 'Carrots or parsnips fork and are hairy', else: 'Nematodes; cavity spot.', ask: LOCAL },
  scab_potato: { seen: 'Corky scabs on potatoes', else: 'Powdery scab likes it wet.', ask: CLINIC },
  fruit_split: { seen: 'Tomatoes, carrots or cabbages split', else: '', ask: LOCAL },
  winter_evergreen_scorch: {
    seen: 'An evergreen in a pot browns in winter or early spring',
    else: 'Root rot: roots are brown.',
    ask: `a nursery, or ${EXTENSION}`,
  },
  blueberry_slow_red: {
    seen: 'Blueberry small, reddish or yellow, weak shoots',
    else: 'Leaves redden in autumn by nature; wet pots rot roots.',
    ask: EXTENSION,
  },
  bleached_patches: {
    seen: 'Bleached papery patches facing the sun',
    else: 'Spray burn; frost takes whole edges.',
    ask: LOCAL,
  },
}

interface CauseText {
  name: string
  /** What to measure or look at to tell it from the others. */
  tell: string
  do: string
}
const READ_PH = 'Read pH in a slurry.'
const READ_SALTS = 'Read the salts.'
const LOOK_ROOTS = 'Tip one out: white roots are sound, brown slimy ones are dead.'
const AIRIER =
  'Clear the holes, lift it on feet, let it dry between waterings; repot airier where roots are brown.'
const FLUSH = 'Flush it with two to three times its volume of good water in one day, and hold back feed.'
const WATER_EVENLY = 'Water little and often so that it never swings; mulch.'

export const CAUSE_TEXTS: Record<CauseId, CauseText> = {
  nitrogenShort: {
    name: 'Nitrogen has run short',
    tell: `${READ_SALTS} Low salts speak for it.`,
    do: 'Feed a quick nitrogen at the usual rate and look in a week. With high salts do not feed.',
  },
  nitrogenDrawdown: {
    name: 'Wood, bark or unripe compost takes the nitrogen',
    tell: 'Leaves green up within a week of a quick nitrogen feed.',
    do: 'Feed a little quick nitrogen each week until it is green.',
  },
  drowned: { name: 'Roots are short of air', tell: LOOK_ROOTS, do: AIRIER },
  potBound: {
    name: 'Pot-bound',
    tell: 'Tip it out: roots circle the wall.',
    do: 'Move it into a larger pot and tease or slice the sides.',
  },
  ironLocked: {
    name: 'Iron is locked up by high pH',
    tell: READ_PH,
    do: 'Acid feed or sulfur by the dose, and an iron chelate fit for that pH; let it dry a little. No lime, no ash.',
  },
  coldWetRoots: {
    name: 'Cold wet roots',
    tell: 'Feel the mix at noon; look at the roots.',
    do: 'Warm the pot, water less, wait a week.',
  },
  phosphateMuch: {
    name: 'Too much phosphate',
    tell: 'Add up the phosphate of all feeds.',
    do: 'A feed without phosphate; flush once.',
  },
  manganeseShort: {
    name: 'Manganese is short',
    tell: 'Read the pH; manganese goes out of reach with iron as it rises.',
    do: 'Bring the pH into its range; a measured feed with chelated traces, once.',
  },
  copperShort: {
    name: 'Copper is short',
    tell: 'Peat without compost or a trace feed; a leaf test.',
    do: 'A measured feed with all traces, once. Never copper by the pinch.',
  },
  ammoniumHarm: {
    name: 'Ammonium harms the roots',
    tell: 'Urea, meal or ammonium in a cold, limed or airless mix; smell for ammonia.',
    do: 'No more ammonium, urea or meal; flush once, warm the mix, feed nitrate.',
  },
  chlorideHarm: {
    name: 'Chloride is high',
    tell: 'Potassium chloride in the feed, or salty water: ask for an analysis.',
    do: 'Rain water; flush with two pots full; potassium as sulfate.',
  },
  sodiumHarm: {
    name: 'Sodium is high',
    tell: 'Softened water, or water from near the sea.',
    do: 'Water from before the softener, or rain water; gypsum, then flush.',
  },
  rootKnot: {
    name: 'Root-knot nematodes',
    tell: 'Knots are part of the root and do not rub off.',
    do: 'Take the plant out with its roots; do not use this mix or soil again for vegetables. Clean tools.',
  },
  clubRoot: {
    name: 'Club root',
    tell: 'Cabbage family only: swollen, fingered roots that smell when cut.',
    do: 'Do not compost the plants; no cabbages in this soil for years; lime to pH 7.2.',
  },
  nodules: {
    name: 'Nodules that feed a pea or bean',
    tell: 'They rub off and are pink inside.',
    do: 'Nothing: they fix nitrogen.',
  },
  oedema: {
    name: 'More water taken up than given off',
    tell: 'A warm wet mix under cool, still, moist air.',
    do: 'Water less and in the morning, more air round the leaves.',
  },
  leafMites: {
    name: 'Mites',
    tell: 'Webs and moving specks under a lens.',
    do: 'Hose beneath the leaves; ask which treatment is allowed.',
  },
  ironShort: {
    name: 'Truly short of iron',
    tell: 'pH is right and roots are sound.',
    do: 'A trace feed once, measured.',
  },
  magnesiumShort: {
    name: 'Magnesium is short',
    tell: 'Old leaves first, veins stay green.',
    do: 'Epsom salts, [2 g to a litre|a third of an ounce to a gallon] of water, once; again in two weeks.',
  },
  limeWithoutMagnesium: {
    name: 'Lime without magnesium',
    tell: 'Look at which lime went in.',
    do: 'Epsom salts now; next time dolomite for half of the lime.',
  },
  pHLow: {
    name: 'pH is too low',
    tell: READ_PH,
    do: 'Fine lime scratched in and watered, by the dose of the pH page; look again in two weeks.',
  },
  pHVeryLow: { name: 'Very acid', tell: READ_PH, do: 'Fine lime by the dose, slowly.' },
  potassiumShort: {
    name: 'Potash is short',
    tell: `${READ_SALTS} Low salts speak for it.`,
    do: 'A feed with more potash than nitrogen.',
  },
  saltsHigh: { name: 'Salts are high', tell: READ_SALTS, do: FLUSH },
  saltsVeryHigh: { name: 'Salts are very high', tell: READ_SALTS, do: FLUSH },
  drySpells: { name: 'It went dry', tell: 'Weigh the pot before watering.', do: WATER_EVENLY },
  saltyWater: {
    name: 'Salty, hard or softened water',
    tell: 'Read the salts of the water alone.',
    do: 'Rain water, and a tenth to a fifth more at each watering so that some runs out. No softened water.',
  },
  boronExcess: {
    name: 'Too much boron',
    tell: 'Add up borax and trace feeds; a leaf test.',
    do: 'Flush hard, give no more trace feed, plant tender crops elsewhere.',
  },
  traceExcess: {
    name: 'Too much copper, manganese or iron',
    tell: READ_PH,
    do: 'Raise the pH to its range; no more trace feed.',
  },
  coldMix: {
    name: 'The mix is too cold',
    tell: 'A thermometer in the mix at dawn.',
    do: 'Bring the pot above [15 °C|59 °F] and wait a week before feeding.',
  },
  phosphateShort: {
    name: 'Phosphate is short',
    tell: 'It stays purple in the warm.',
    do: 'A feed with phosphate, once.',
  },
  unevenWater: { name: 'Uneven water', tell: 'Look in the log for gaps; weigh the pot.', do: WATER_EVENLY },
  saltsOrAmmonium: { name: 'Salts or ammonium high', tell: READ_SALTS, do: 'Stop ammonium feeds; flush.' },
  calciumShort: {
    name: 'Calcium is short in an acid mix',
    tell: READ_PH,
    do: 'Lime only where pH is below 5.5; sprays of calcium hardly help.',
  },
  fewRoots: { name: 'Few or drowned roots', tell: LOOK_ROOTS, do: AIRIER },
  calciumNotCarried: {
    name: 'Calcium does not reach the tip',
    tell: 'Fast growth in close air after dry days.',
    do: 'Water evenly, shade and air in heat, weaker feed.',
  },
  boronShort: {
    name: 'Boron is short',
    tell: 'Look at what boron was given; a leaf test before any more.',
    do: 'A measured trace feed once, never by the pinch.',
  },
  growthSpurts: { name: 'Growth in spurts', tell: 'Look in the log for gaps.', do: WATER_EVENLY },
  manganeseExcess: {
    name: 'Manganese or iron in excess at low pH',
    tell: READ_PH,
    do: 'Raise the pH to its range with fine lime in water, slowly.',
  },
  molybdenumShort: {
    name: 'Molybdenum is short at low pH',
    tell: READ_PH,
    do: 'Lime to above 6; a trace feed.',
  },
  sulfurShort: {
    name: 'Sulfur is short',
    tell: 'Pure salts and rain water, no compost.',
    do: 'A light dose of Epsom salts or gypsum.',
  },
  zincShort: {
    name: 'Zinc is short',
    tell: `${READ_PH} Add up the phosphate.`,
    do: 'Lower pH; a chelated trace spray once.',
  },
  weedkiller: {
    name: 'Weedkiller in compost, manure or hay',
    tell: 'Beans against weedkiller, a test of four weeks.',
    do: 'Stop using that load, keep its heap apart, and compost none of the plants.',
  },
  heatOrDrought: {
    name: 'Heat or drought roll',
    tell: 'Old leaves roll first and open at night.',
    do: 'Shade and even water.',
  },
  rootRot: {
    name: 'Root rot',
    tell: LOOK_ROOTS,
    do: 'Cut away what is brown, repot airier and drier; not the same mix for its kind again.',
  },
  heatBeyondRoots: {
    name: 'More heat than roots can cool',
    tell: 'It stands up again in the evening.',
    do: 'Shade pot and plant in the afternoon.',
  },
  potTooSmall: {
    name: 'Pot too small for its leaves',
    tell: 'Weigh it morning and evening.',
    do: 'A larger pot, or water twice a day; mulch.',
  },
  holdsLittle: {
    name: 'The mix holds little',
    tell: 'Drain a pot and measure air and water.',
    do: 'A finer part or some compost next time; mulch and a shallower stand now.',
  },
  hotWindyFabric: {
    name: 'Hot, windy, or a fabric pot',
    tell: 'Set one in the lee for a day.',
    do: 'Shade the pot, put it in the lee, or inside another.',
  },
  shunsWater: {
    name: 'The mix shuns water',
    tell: 'Drops on dry mix: does it take water?',
    do: 'Soak it from below for half an hour; a wetting agent where water still runs off.',
  },
  shrunkFromWall: {
    name: 'Shrunk from the wall',
    tell: 'A gap along the wall.',
    do: 'Push the mix to the wall and soak it from below.',
  },
  crust: {
    name: 'A crust of fines',
    tell: 'Scratch the top: does water sink in then?',
    do: 'Loosen the top, mulch with bark or grit.',
  },
  sealedByFines: {
    name: 'Fines have sealed the top',
    tell: 'Time how fast water goes through.',
    do: 'Loosen the top; at the next potting sieve fines off and add something coarse.',
  },
  holesBlocked: {
    name: 'Holes are blocked',
    tell: 'Lift it and look.',
    do: 'Clear the holes and lift it on feet.',
  },
  collapsed: {
    name: 'An old mix has collapsed',
    tell: 'Drain a pot and measure its air.',
    do: 'Freshen it with something coarse, or replace it.',
  },
  saltsFromFeedOrWater: {
    name: 'Salts of feed or hard water',
    tell: 'A drop of vinegar: no fizz is salt, fizz is lime.',
    do: 'Scrape it off and flush.',
  },
  limeFromWater: {
    name: 'Lime of hard water',
    tell: 'A drop of vinegar: it fizzes.',
    do: 'Harmless to most; rain water for what wants it acid.',
  },
  harmlessFungus: {
    name: 'Harmless threads of fungus',
    tell: 'Fluffy, smells of mushrooms.',
    do: 'Leave it.',
  },
  topAlwaysWet: {
    name: 'The top is always wet',
    tell: 'Feel the top before each watering.',
    do: 'Let the top finger’s breadth dry; grit or bark on it; water from below.',
  },
  shade: { name: 'Too much shade', tell: 'Count its hours of sun.', do: 'Move it into more light.' },
  feedOnTop: { name: 'Feed lying on top', tell: 'Look for it on the surface.', do: 'Scratch it in.' },
  noAirInBase: {
    name: 'No air in the base',
    tell: 'Rotten eggs; the base is grey and wet.',
    do: 'Drain it, lift it, repot it airier.',
  },
  unripe: {
    name: 'Unripe compost or meal at work',
    tell: 'Cress for ripeness.',
    do: 'Wait two to three weeks and turn it; plant nothing until it smells of earth.',
  },
  ammonia: {
    name: 'Ammonia of manure, meal, or lime on ammonium',
    tell: 'The smell; salts.',
    do: 'Air, wait two to three weeks, water through; plant nothing before.',
  },
  atWork: {
    name: 'Unripe compost, manure or meal at work',
    tell: 'A thermometer over some days.',
    do: 'Turn it, damp it, and wait until it has been at air temperature for a week.',
  },
  sunOnPots: { name: 'Sun on dark pots', tell: 'Feel the shaded side.', do: 'Shade the wall of the pot.' },
  woodRotting: {
    name: 'Wood, bark or straw rots: as it should',
    tell: 'It grows out of wood.',
    do: 'Leave it, or pick it off; a little nitrogen where plants are pale.',
  },
  overWet: { name: 'Kept too wet', tell: 'Feel it a finger deep.', do: 'Let it dry between waterings.' },
  dampingOff: {
    name: 'Damping-off: wet, cold, airless or dirty',
    tell: 'The stem is thin and brown at the surface.',
    do: 'Drier, warmer, more air; clean pots; begin anew in a clean mix with little salt.',
  },
  freshManure: {
    name: 'Fresh manure or ammonia',
    tell: `${READ_SALTS} Smell it.`,
    do: 'Begin anew in a mix without manure or meal.',
  },
  tooCold: {
    name: 'Too cold to come up',
    tell: 'A thermometer in the mix at dawn.',
    do: 'Warm them, or sow again in the right month.',
  },
  crustedOrDryTop: {
    name: 'Crusted or dry top',
    tell: 'Scratch the top.',
    do: 'Cover with fine stuff and keep it moist until they are up.',
  },
  saltsOrAmmonia: {
    name: 'Salts or ammonia',
    tell: `${READ_SALTS} Cress against plain water.`,
    do: 'Sow in a mix with little salt.',
  },
  oldSeed: { name: 'Old seed', tell: 'Some on damp paper in the warm.', do: 'Fresh seed.' },
  sownTooDeep: { name: 'Sown too deep', tell: 'Dig one up.', do: 'Two to three times its own thickness.' },
  aluminiumOrAcid: { name: 'Acid below 4.7', tell: READ_PH, do: 'Fine lime by the dose.' },
  noAir: { name: 'No air at the roots', tell: LOOK_ROOTS, do: AIRIER },
  smoothPot: {
    name: 'Too long in a smooth pot',
    tell: 'Roots circle the wall.',
    do: 'Slice the sides; a fabric or slatted pot next.',
  },
  rotting: {
    name: 'It rots',
    tell: 'Sinks through the year.',
    do: 'Top it up with the same mix, not over grafts or crowns.',
  },
  settlingLoose: {
    name: 'A loose fill settles',
    tell: 'Sinks in the first weeks only.',
    do: 'Top it up once; fill in lifts and tap next time.',
  },
  washedOut: {
    name: 'Washed out through the holes',
    tell: 'Mix beneath the pot.',
    do: 'Mesh over the holes.',
  },
  nitrogenMuch: { name: 'Too much nitrogen', tell: READ_SALTS, do: 'No nitrogen; a feed with more potash.' },
  tooHotAtNight: {
    name: 'Too hot at night to set fruit',
    tell: 'Nights above [21 °C|70 °F].',
    do: 'Wait; shade in the afternoon.',
  },
  stones: {
    name: 'Stones or lumps',
    tell: 'Coarse and fine: sieve a few litres.',
    do: 'Sieve the mix at [6 mm|a quarter inch].',
  },
  freshManureOrNitrogen: {
    name: 'Fresh manure or much nitrogen',
    tell: READ_SALTS,
    do: 'No manure in the year of roots.',
  },
  transplanted: { name: 'Transplanted', tell: '', do: 'Sow roots where they stay.' },
  shallow: {
    name: 'Too shallow',
    tell: 'Measure the depth of the mix.',
    do: 'A deeper box, or round sorts.',
  },
  limyAndDry: {
    name: 'pH above 5.5 and dry when tubers set',
    tell: READ_PH,
    do: 'No lime or ash; water well from the flower bud on; clean seed.',
  },
  manureOrLime: {
    name: 'Fresh manure or lime',
    tell: 'Look at what went in.',
    do: 'Neither in the year of potatoes.',
  },
  dryThenSoaked: { name: 'Dry, then soaked', tell: 'Look in the log for gaps.', do: WATER_EVENLY },
  rainOnRipe: { name: 'Heavy rain on ripe fruit', tell: 'It came after rain.', do: 'Pick before rain.' },
  potashLow: { name: 'A feed low in potash', tell: READ_SALTS, do: 'A feed with more potash than nitrogen.' },
  frozenRoots: {
    name: 'Roots frozen or dry in wind',
    tell: 'Feel the mix at noon.',
    do: 'Water on frost-free days, lag the pot, out of the wind.',
  },
  killedByCold: {
    name: 'Roots killed by cold',
    tell: LOOK_ROOTS,
    do: 'A pot is one or two zones colder than the ground: bring it in, or sink it.',
  },
  wetFeet: { name: 'Wet feet', tell: LOOK_ROOTS, do: 'Lift it on feet and clear the holes.' },
  pHAboveAcid: {
    name: 'pH above what it bears',
    tell: READ_PH,
    do: 'Rain water; sulfur or acid feed by the dose; mulch of bark.',
  },
  nitrateFeed: {
    name: 'Nitrate instead of ammonium feed',
    tell: 'Read the label.',
    do: 'An ammonium feed for acid plants.',
  },
  dryFineRoots: {
    name: 'Fine roots have dried',
    tell: 'Weigh it before watering.',
    do: 'Mulch, and water before it is dry.',
  },
  suddenSun: {
    name: 'Sudden sun',
    tell: 'It came within days of moving it out.',
    do: 'Harden off over a week; light shade.',
  },
  hotWall: {
    name: 'A hot wall throws heat back',
    tell: 'On the side of the wall.',
    do: 'Move it away, or shade.',
  },
  dry: { name: 'It went dry', tell: 'Weigh it.', do: WATER_EVENLY },
  noonFlag: { name: 'Noon flagging', tell: 'It stands up again by evening.', do: 'Nothing.' },
}
