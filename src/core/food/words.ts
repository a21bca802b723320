import { singular } from './names';

/** Words around the foods in a name: what they say of them, or that they say nothing. All in the singular, without accents. */

/** Cuts and shapes: of the food beside them; by themselves of the one named here, or of none that is known. */
export const CUTS: ReadonlyMap<string, string | undefined> = new Map(
  Object.entries({
    steak: 'beef',
    chop: 'pork chop',
    cutlet: 'lamb cutlet',
    joint: 'beef',
    rib: 'pork rib',
    belly: 'pork belly',
    shoulder: undefined,
    loin: undefined,
    tenderloin: undefined,
    rack: undefined,
    saddle: undefined,
    cheek: undefined,
    neck: undefined,
    knuckle: undefined,
    hock: undefined,
    flank: 'beef',
    haunch: undefined,
    leg: undefined,
    breast: undefined,
    fillet: undefined,
    filet: undefined,
    escalope: undefined,
    schnitzel: undefined,
    cutlets: undefined,
    roast: undefined,
    bone: 'beef bone',
    carcass: undefined,
    patty: undefined,
    nugget: undefined,
    goujon: undefined,
    finger: undefined,
    skewer: undefined,
    kebab: undefined,
    heart: undefined,
    kidney: undefined,
    head: undefined,
    tail: undefined,
    wing: undefined,
    thigh: undefined,
    drumstick: undefined,
    tentacle: undefined,
    collar: undefined,
    crown: undefined,
    burger: undefined,
    sausage: undefined,
    meatball: undefined,
  }),
);

/** It was cooked. */
export const COOKED_WORDS: ReadonlySet<string> = new Set(
  'cooked precooked tinned canned jarred leftover roasted grilled fried boiled poached braised stewed barbecued griddled confit pulled microwaved steamed baked refried tin can jar pouch readycooked toasted'.split(
    ' ',
  ),
);

/** Words that make whole meat minced. */
export const MINCING_WORDS: ReadonlySet<string> = new Set([
  'minced',
  'mince',
  'ground',
  'burger',
  'sausage',
  'meatball',
]);

/** Words that make a stock of what stands before them. */
export const STOCK_WORDS: ReadonlySet<string> = new Set([
  'stock',
  'broth',
  'bouillon',
  'consomme',
  'fumet',
  'gravy',
  'jus',
]);

/** After these a name means something else than its foods: vegan mince, egg-free mayonnaise, stock without celery. */
export const UNSURE_WORDS: ReadonlySet<string> = new Set(
  'vegan vegetarian veggie plant based free mock style imitation fake meatless eggless dairyless without no non alternative substitute replacement analogue faux like'.split(
    ' ',
  ),
);

/** Phrases whose words would say something else by themselves: "half-fat" is no fat, "free-range" is free of nothing. */
export const DESCRIBING_PHRASES =
  /\b(?:half|full|low|lower|reduced|non|zero|high) fat\b|[\d.,]+ ?% ?fat\b|\bfat (?:free|reduced|removed|trimmed)\b|\btrimmed of (?:[a-z]+ )?fat\b|\blactose free\b|\bfree (?:range|run)\b|\bno (?:added )?(?:salt|sugar)(?: added)?\b|\b(?:corn|grass|milk|grain|barley) fed\b|^(?:[\d½¼¾]+ )?(?:big |nice )?fat (?=(?!for|from|of|back)[a-z]+ [a-z])|^(?:[\d½¼¾]+ )(?:big |nice )?fat (?=(?!back)[a-z])/g;

/** Words that say how, how much or which part, and nothing of what it is. */
export const DESCRIBING: ReadonlySet<string> = new Set(
  `coated a an the of for to from on at into by off out all its their each per about some any few more extra little bit plenty
  other others another both one two three four five six seven eight nine ten dozen half quarter third whole double single
  pair large small medium big tiny mini baby giant jumbo long short thick thin fat fine coarse heavy light round flat
  tall wide narrow chunky bite fresh freshly ripe unripe firm soft hard tender crisp young old mature aged early late
  seasonal local organic bio wild farmed range frozen defrosted thawed chilled cold hot warm cool lukewarm tepid
  boiling iced dry dried wet moist damp sundried raw uncooked parcooked parboiled blanched red white green yellow black
  brown orange purple pink golden dark pale blue grey rose russet good best quality nice decent fruity mild strong sharp
  sweet sour bitter spicy plain pure natural simple basic standard ordinary usual common everyday traditional classic
  authentic rustic country english french italian spanish greek turkish indian thai chinese japanese mexican american
  irish scottish welsh german swiss persian moroccan lebanese vietnamese korean asian mediterranean european australian
  dutch danish norwegian british caribbean cornish sicilian chopped diced sliced cubed cut shredded grated crushed
  crumbled torn peeled unpeeled skinned trimmed cleaned washed unwashed rinsed drained squeezed pressed pounded bashed
  bruised smashed mashed pureed blended liquidised beaten whisked whipped softened melted sifted sieved strained rolled
  pitted stoned deseeded seeded cored topped tailed halved quartered split shelled podded shucked hulled flaked slivered
  julienned ribboned spiralised scored pricked pared zested juiced scrubbed plucked gutted scaled filleted boned deboned
  boneless skinless skin seedless stemmed destemmed picked pulled separated divided reserved optional needed taste serve
  serving garnish garnished garnishing decorate dusting frying greasing brushing drizzling sprinkling finish finishing
  cooking roasting stewing braising casserole grilling baking salted unsalted seasoned lightly roughly finely thinly
  thickly coarsely evenly well very really quite just plus minus approximately approx around loosely tightly packed
  heaped level scant generous rounded piece chunk slice strip stick dice cube wedge ring segment sprig stalk stem bulb
  clove bunch handful pinch dash splash drop knob glug drizzle leaf tuber kernel core rind peel zest shell flesh pulp
  juice seed pod flake powder powdered paste puree granule crystal block sheet strand thread tip top end bottom ball
  floret crown spear tin tinned can jar bottle pack packet pouch carton box bag tub tube punnet tray sachet portion batch
  g kg gram kilo ml l cl dl litre liter oz ounce lb pound cup tbsp tsp tablespoon teaspoon tablespoonful teaspoonful pint
  quart cm mm inch size sized similar equal thumb matchstick baton batons room temperature overnight day yesterday today
  fridge cupboard market shop bought home homemade made ready prepared use used using instead preferably ideally such own
  your my our that which is are was be been if you like want get have left over mixed assorted selection mix mixture
  combination blend various different low reduced full semi skimmed lactose concentrate concentrated diluted undiluted
  essence extract pasteurised unpasteurised live active set smooth crunchy rough pearled husked unhulled polished
  unpolished wholegrain wholemeal refined unrefined unbleached bleached instant quick cook easy butterflied spatchcocked
  tied trussed frenched in lean fatty marbled middle centre center cubes pieces rings bed base layer topping decoration
  filling crusty stale toasted browned blackened charred candied glazed sticky preserved pickled brined cured smoked
  fermented muslin wrapped bundle cloth string kitchen garden field hedge sea river lake water steel oven hob pan pot
  stove grill barbecue smoker germinated soaked presoaked unsoaked dehydrated rehydrated reconstituted freeze spray royal
  king queen prince duchess baron hand hands with caught dived line deveined jointed sodium store unsweetened
  sweetened eat part glass drinking deep`
    .split(/\s+/)
    .map(singular),
);
