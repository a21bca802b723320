// Words from which recipes are made up to train the reader: nobody's recipes, and none that anybody would cook. `{i}` stands for something
// that goes in, `{j}` for another, `{n}` for a number, `{t}` for minutes.

export type TaughtPlace = 'board' | 'burner' | 'oven' | 'rest' | 'cold';
export type TaughtAttention = 'hands' | 'eyes' | 'none';
export type Sentence = readonly [words: string, place: TaughtPlace, attention: TaughtAttention];

export interface Tongue {
  readonly things: readonly string[];
  /** Amounts, with `{n}`. */
  readonly amounts: readonly string[];
  readonly loose: readonly string[];
  readonly cuts: readonly string[];
  readonly titles: readonly string[];
  readonly ingredients: readonly string[];
  readonly method: readonly string[];
  readonly parts: readonly string[];
  readonly serves: readonly string[];
  readonly times: readonly string[];
  readonly sentences: readonly Sentence[];
  readonly notes: readonly string[];
  readonly asides: readonly string[];
  readonly talk: readonly string[];
  readonly until: readonly string[];
}

const S = (place: TaughtPlace, attention: TaughtAttention, words: string): readonly Sentence[] =>
  words
    .split('|')
    .map((each) => each.trim())
    .filter(Boolean)
    .map((each) => [each, place, attention]);
const list = (words: string): readonly string[] => words.split('|').map((each) => each.trim());

const English: Tongue = {
  things: list(
    'onion|red onions|garlic|carrots|celery|leeks|potatoes|sweet potato|chicken thighs|beef shin|lamb neck|pork belly|minced beef|bacon lardons|salmon fillets|prawns|butter|olive oil|vegetable oil|ghee|plain flour|cornflour|long-grain rice|basmati rice|pearl barley|bulgur|couscous|red lentils|chickpeas|butter beans|chopped tomatoes|tomato purée|chicken stock|vegetable broth|coconut milk|double cream|natural yogurt|eggs|parmesan|cheddar|lemon|lime juice|ginger|ground cumin|smoked paprika|turmeric|bay leaves|thyme|parsley|coriander|mint|brown sugar|honey|soy sauce|fish sauce|red wine|white wine vinegar|dijon mustard|salt|black pepper|chilli flakes|spinach|kale|cabbage|mushrooms|aubergine|courgettes|red peppers|peas|sweetcorn|walnuts|almonds|sesame seeds|raisins|dried apricots|breadcrumbs|puff pastry|tortillas|noodles|spaghetti|water|milk',
  ),
  amounts: list(
    '{n}00 g {i}|{n}00g {i}|{n} tbsp {i}|{n} tsp {i}|{n} {i}|{n} large {i}|{n} cups {i}|1/{n} cup {i}|{n} lb {i}|{n} oz. {i}|{n} c. {i}|{n}00 ml {i}|{n} x 400g tins {i}|½ tsp {i}|a pinch of {i}|a handful of {i}|{n} cloves {i}|1 bunch {i}|{n} sticks {i}|{n} tablespoons {i}|{n} ½ teaspoons {i}|about {n}00 g {i}|{n}-{n} {i}|1 (14 oz) can {i}|{n}00ml/{n} fl oz {i}|{n} kg {i}|1 med. {i}|{i} - {n}00 g|{i} {n}00g|{i}, {n}',
  ),
  loose: list(
    'salt and pepper|Salt & pepper|{i}, to serve|{i} to taste|oil for frying|freshly ground {i}|a little {i}|some {i}|extra {i}, for the top|{i}|{i} and {j}, to serve|juice of 1 lemon|zest of an orange|boiling water',
  ),
  cuts: list(
    ', chopped|, finely sliced|, crushed|, drained|, diced| (optional)|, at room temperature|, cut into chunks|, peeled and grated|, melted|, soaked overnight|||||',
  ),
  titles: list(
    'Braised {i} with {j}|{i} and {j} soup|Grandad’s {i} pie|SPICED {i}|Quick {i} supper|{i} stew|One-pot {i}|Baked {i} & {j}|My {i} curry|Crisp {i} salad|Sunday {i}|{i} WITH {j}',
  ),
  ingredients: list(
    'Ingredients|INGREDIENTS:|You will need|What you need|Ingredients (serves 4)|You’ll need:|Shopping list',
  ),
  method: list('Method|Directions|INSTRUCTIONS:|Preparation|Steps|How to make it|What to do|Procedure|Method:'),
  parts: list(
    'For the sauce|For the rice:|For the dough|Dressing:|Topping|To serve:|For the marinade|The filling|Spice paste|Green rice|For the meatballs:|Salsa|Crumble',
  ),
  serves: list(
    'Serves {n}|Servings: {n}|Makes {n} portions|Yield: {n} servings|For {n} people|SERVES {n}-{n}|Feeds {n}|serves about {n}',
  ),
  times: list(
    'Prep: {t} mins|Cook time: {t} minutes|Total time: 1 hr {t} min|Prep Time {t} minutes|Ready in {t} minutes|Prep {t} min | Cook {t} min|Hands-on time: {t} min|Cooking: {t} mins',
  ),
  until: list(
    'until soft|until golden|until tender|until just cooked through|stirring now and then|turning once|until it smells good|until thick|||',
  ),
  sentences: [
    ...S(
      'board',
      'hands',
      'Chop the {i} and {j}.|Slice the {i} finely.|Peel and grate the {i}.|Cut the {i} into chunks.|Trim the {i} and cut in half.|In a bowl, mix the {i} with the {j}.|Whisk the {i} and {j} together.|Season the {i} with salt and pepper.|Rinse the {i} under cold water.|Drain and rinse the {i}.|Stir the {i} into the {j}.|Blend {i} and {j} to a smooth paste.|Knead the dough for {t} minutes.|Roll out the dough thinly.|Spread the {i} over the base.|Scatter with {i} and serve.|Serve with {i}.|Garnish with {i}.|Drain well.|Shred the {i} with two forks.|Mash the {i} with a little {j}.|Toss {i} with {j}.|Divide among bowls and top with {i}.|Layer the {i} and {j} in a dish.|Pat the {i} dry.|Remove the {i} to a plate.|Discard the {i}.|Fluff with a fork.|Taste and adjust the seasoning.|Crumble over the {i}.|Line a tray with paper.|Beat the {i} with the {j}.|Serve at once.|Pour over the {i} and toss.|Fold in the {i}.|Off the heat, stir in the {i}.|Wash the {i}, shake dry, pick the leaves|{i} in thin strips, {j} in cubes',
    ),
    ...S(
      'burner',
      'hands',
      'Fry the {i} for {t} minutes, {u}.|Heat the {i} in a large pan and cook the {j} for {t} minutes.|Brown the {i} on all sides, about {t} minutes.|Sauté {i} and {j} over medium heat {t} min.|Add the {i} and cook for {t} minutes more, {u}.|Soften the {i} in the {j} over a low heat for {t} minutes.|Toast the {i} in a dry pan for {t} minutes.|Stir in the {i} and cook for another minute.|Add {i}; cook, stirring, {t} minutes.|Sear {i} {t} minutes per side.|Stir-fry {i} over high heat for {t} minutes.|Melt {i} in a skillet.|Heat the oil over medium-high heat.|Tip in the {i} and stir for {t} min.|Deglaze with the {i}.|Let the {i} colour, {t} minutes.|Crisp the {i} in hot oil.|{i} in, {t} min, hot|sweat {i} {t} min|Pour in the {i} and scrape up the browned bits.|Add the {i}, then the {j}, {t} minutes.|Whisk over the heat for {t} minutes until thick.|In the same pan, fry the {i}.|Warm through the {i} in a pan.',
    ),
    ...S(
      'burner',
      'eyes',
      'Bring to the boil, then simmer for {t} minutes.|Simmer gently for {t} minutes, {u}.|Cover and cook over a low heat for {t} minutes.|Add the {i} and bring to a boil.|Boil the {i} in salted water for {t} minutes.|Cook the {i} until tender, about {t} minutes.|Reduce the heat and simmer, covered, {t}-{t} min.|Pour in the {i}, cover and braise for 2 hours.|Let it bubble for {t} minutes.|Steam the {i} for {t} minutes.|Poach the {i} in the {j} for {t} minutes.|Simmer uncovered until reduced by half.|Cook pasta {t} min|boil {i} {t} min|stock in, simmer {t}|Cook on the lowest heat for {t} minutes without stirring.|Bring a pan of water to the boil.|Put the {i} in a pot with the {j} and boil for {t} minutes.|Cook at high pressure for {t} minutes.|Stew everything for 1 hour.',
    ),
    ...S(
      'oven',
      'none',
      'Bake for {t} minutes, {u}.|Roast the {i} for {t} minutes.|Bake at 180°C for {t} minutes.|Put in the oven for 1 hour.|Roast at 400°F for {t} minutes.|Return to the oven for {t} minutes more.|Bake, uncovered, 350°, {t} min.|Grill for {t} minutes, cut side down.|Transfer to the oven and cook for 2 hours.|Oven 200 °C, {t} min.|Broil {t} minutes.|Cover with foil and bake {t} minutes.|Slide the dish into the oven for {t} minutes.|bake 375 {t}-{t} min|Into a hot oven until brown, {t} min.',
    ),
    ...S(
      'rest',
      'none',
      'Leave to rest for {t} minutes.|Let stand {t} minutes before serving.|Set aside for {t} minutes.|Soak the {i} for {t} minutes.|Leave the dough to rise for 1 hour.|Rest off the heat, covered, for {t} minutes.|Allow to cool for {t} minutes.|Let it sit {t} min.|Soak the {i} in warm water overnight.|Leave in a warm place until doubled.|Let the pressure go down, {t} minutes.|Cool on a rack.|Cover and leave for {t} minutes.|stand {t} min|Rest {t} min lid on',
    ),
    ...S(
      'cold',
      'none',
      'Chill for {t} minutes.|Refrigerate overnight.|Marinate the {i} in the fridge for 2 hours.|Cover and chill for at least 1 hour.|Marinate {i} with {j} for {t} minutes.|Put in the fridge until firm.|Refrigerate {t} minutes.',
    ),
  ],
  notes: list(
    'Tip: leftovers keep for {n} days in the fridge.|Note: use any {i} you have.|Storage: freeze for up to {n} months.|Calories: {n}00 kcal|Nutrition per serving: {n}00 calories, {n} g fat|Leftovers will keep in the fridge for {n} days.|NB the {i} can be left out.|Make ahead: cook it the day before.|Contains milk and nuts.|Variation: use {i} instead of {j}.',
  ),
  asides: list(
    'Notes|Cook’s notes|Tips|Storage|Nutrition|Comments ({n})|Reviews|You might also like|Recipe notes:|About the author|{n} comments|Variations',
  ),
  talk: list(
    'I first ate this on a cold evening years ago and have made it ever since.|This is the dish my mother made on Sundays.|Jump to recipe|Print|★★★★★ from {n} votes|Share this|Jo: I used {i} instead of {j}, lovely!|Made this last night, cooked it for {t} minutes longer. Great!|Can I use {i} instead of {j}?|Home|Sign up to the newsletter|Posted on 3 May|By a hungry cook|If you like {i}, you will love this.|There is nothing better than {i} in winter, and it is easy too.|Hello everyone, today we are cooking {i}!|Photo: the kitchen table|Follow along for more|Thanks for this, the family loved it.|Skip to content|Advertisement|Perfect for a weeknight, this is quick and cheap.',
  ),
};

const German: Tongue = {
  things: list(
    'Zwiebeln|Knoblauch|Möhren|Lauch|Kartoffeln|Rindfleisch|Hähnchenschenkel|Hackfleisch|Speck|Butter|Olivenöl|Mehl|Reis|Linsen|Kichererbsen|Tomaten|Tomatenmark|Brühe|Sahne|Joghurt|Eier|Käse|Zitrone|Ingwer|Kümmel|Paprikapulver|Lorbeerblätter|Petersilie|Zucker|Senf|Salz|Pfeffer|Spinat|Kohl|Pilze|Nudeln|Wasser|Milch|Quark|Rotwein',
  ),
  amounts: list(
    '{n}00 g {i}|{n} EL {i}|{n} TL {i}|{n} {i}|{n} große {i}|{n}00 ml {i}|1 Prise {i}|1 Bund {i}|{n} Zehen {i}|1 Dose {i}|ca. {n}00 g {i}|{n} kg {i}|1/2 l {i}',
  ),
  loose: list('Salz und Pfeffer|{i} nach Geschmack|etwas {i}|{i} zum Braten|{i}|Salz, {i}'),
  cuts: list(', gewürfelt|, in Ringen|, fein gehackt| (oder {j})||||'),
  titles: list('{i} mit {j}|Omas {i}|{i}suppe|Geschmorte {i}|Schneller {i}topf'),
  ingredients: list('Zutaten|Zutaten:|Zutaten für {n} Personen|Du brauchst'),
  method: list('Zubereitung|Zubereitung:|Anleitung|So geht’s'),
  parts: list('Für die Soße:|Für den Teig|Für die Füllung:|Außerdem'),
  serves: list('Für {n} Personen|{n} Portionen|Portionen: {n}'),
  times: list('Zubereitungszeit: {t} Minuten|Kochzeit: {t} Min.|Vorbereitung: {t} Minuten'),
  until: list('bis sie weich sind|bis sie goldbraun sind||'),
  sentences: [
    ...S(
      'board',
      'hands',
      '{i} schälen und würfeln.|{i} in feine Ringe schneiden.|{i} und {j} in einer Schüssel verrühren.|{i} waschen und abtropfen lassen.|Mit {i} servieren.|Mit Salz und Pfeffer abschmecken.|{i} fein hacken.|Abgießen.|{i} unterheben.|Den Teig {t} Minuten kneten.|{i} herausnehmen.',
    ),
    ...S(
      'burner',
      'hands',
      '{i} in {j} {t} Minuten anbraten.|{i} in einer Pfanne goldbraun braten, {t} Minuten.|{i} zugeben und {t} Minuten mitbraten.|{i} anschwitzen.|Das Öl in einem Topf erhitzen.|Mit {i} ablöschen.',
    ),
    ...S(
      'burner',
      'eyes',
      '{t} Minuten köcheln lassen.|Zugedeckt bei kleiner Hitze {t} Minuten schmoren.|{i} in Salzwasser {t} Minuten kochen.|Aufkochen und {t} Minuten garen.|{i} zum Kochen bringen.',
    ),
    ...S(
      'oven',
      'none',
      'Im Ofen bei 180 °C {t} Minuten backen.|{t} Minuten überbacken.|Im vorgeheizten Ofen {t} Minuten braten.',
    ),
    ...S(
      'rest',
      'none',
      '{t} Minuten ruhen lassen.|{i} {t} Minuten einweichen.|Abkühlen lassen.|Den Teig 1 Stunde gehen lassen.',
    ),
    ...S('cold', 'none', '{t} Minuten kalt stellen.|Über Nacht in den Kühlschrank stellen.|{i} 2 Stunden marinieren.'),
  ],
  notes: list('Tipp: schmeckt auch mit {i}.|Hinweis: hält sich {n} Tage.|Nährwerte pro Portion: {n}00 kcal'),
  asides: list('Tipps|Kommentare ({n})|Nährwerte|Bewertungen'),
  talk: list(
    'Super lecker, vielen Dank!|Das hat meine Oma immer gekocht.|Rezept drucken|Habe statt {i} lieber {j} genommen.|Ein einfaches Gericht für kalte Tage.',
  ),
};

const French: Tongue = {
  things: list(
    'oignons|ail|carottes|poireaux|pommes de terre|poulet|bœuf|lardons|beurre|huile d’olive|farine|riz|lentilles|pois chiches|tomates|bouillon|crème fraîche|yaourt|œufs|fromage râpé|citron|gingembre|cumin|paprika|laurier|persil|sucre|moutarde|sel|poivre|épinards|champignons|pâtes|eau|lait|vin blanc|échalotes',
  ),
  amounts: list(
    '{n}00 g de {i}|{n} c. à soupe de {i}|{n} c. à café de {i}|{n} {i}|{n} gros {i}|{n}0 cl de {i}|1 pincée de {i}|1 bouquet de {i}|{n} gousses d’{i}|1 boîte de {i}|{n} kg de {i}',
  ),
  loose: list('sel, poivre|Sel et poivre|un peu de {i}|{i}'),
  cuts: list(', émincés|, coupées en dés|, hachés||||'),
  titles: list('{i} aux {j}|Gratin de {i}|Soupe de {i}|{i} à la crème'),
  ingredients: list('Ingrédients|Ingrédients :|Il vous faut'),
  method: list('Préparation|Préparation :|Réalisation|Étapes'),
  parts: list('Pour la sauce :|Pour la pâte|Pour la garniture :'),
  serves: list('Pour {n} personnes|{n} personnes|{n} parts'),
  times: list('Préparation : {t} min|Cuisson : {t} minutes|Temps total : {t} min'),
  until: list('jusqu’à ce qu’ils soient dorés|en remuant||'),
  sentences: [
    ...S(
      'board',
      'hands',
      'Épluchez et émincez les {i}.|Coupez les {i} en dés.|Mélangez les {i} et les {j} dans un saladier.|Rincez les {i}.|Servez avec les {i}.|Salez et poivrez.|Égouttez les {i}.|Ajoutez les {i} et mélangez hors du feu.|Parsemez de {i}.',
    ),
    ...S(
      'burner',
      'hands',
      'Faites revenir les {i} {t} min dans le {j}.|Faites dorer les {i} de tous côtés, {t} minutes.|Ajoutez les {i} et laissez suer {t} min.|Dans une poêle, faites sauter les {i} {t} min.|Faites chauffer l’huile dans une cocotte.|Déglacez au {i}.',
    ),
    ...S(
      'burner',
      'eyes',
      'Laissez mijoter {t} minutes à feu doux.|Couvrez et laissez cuire {t} min.|Portez à ébullition.|Faites cuire les {i} {t} minutes à l’eau salée.|Versez le {i} et poursuivez la cuisson {t} min.',
    ),
    ...S(
      'oven',
      'none',
      'Enfournez {t} minutes à 180 °C.|Faites cuire au four {t} min.|Faites gratiner {t} min au four.',
    ),
    ...S('rest', 'none', 'Laissez reposer {t} min.|Faites tremper les {i} une nuit.|Laissez refroidir.'),
    ...S(
      'cold',
      'none',
      'Mettez au frais {t} min.|Laissez mariner 2 h au réfrigérateur.|Réservez au réfrigérateur {t} minutes.',
    ),
  ],
  notes: list('Astuce : remplacez les {i} par des {j}.|Conseil : se garde {n} jours au frais.'),
  asides: list('Astuces|Commentaires ({n})|Conseils'),
  talk: list(
    'Un plat simple pour les soirs d’hiver.|Imprimer la recette|Délicieux, merci !|J’ai remplacé les {i} par des {j}.',
  ),
};

const Spanish: Tongue = {
  things: list(
    'cebollas|ajos|zanahorias|patatas|pollo|ternera|costillas|mantequilla|aceite de oliva|harina|arroz|lentejas|garbanzos|tomates|caldo|nata|yogur|huevos|queso|limón|comino|pimentón|laurel|perejil|azúcar|sal|pimienta|espinacas|setas|pasta|agua|leche|vino blanco|pimientos',
  ),
  amounts: list(
    '{n}00 g de {i}|{n} cucharadas de {i}|{n} cucharaditas de {i}|{n} {i}|{n}00 ml de {i}|1 pizca de {i}|1 manojo de {i}|{n} dientes de {i}|1 lata de {i}|{n} kg de {i}|{n} tazas de {i}',
  ),
  loose: list('Sal|sal y pimienta|{i} al gusto|un poco de {i}'),
  cuts: list(', picadas|, en rodajas||||'),
  titles: list('{i} con {j}|Guiso de {i}|Sopa de {i}|{i} al horno'),
  ingredients: list('Ingredientes|Ingredientes:|Ingredientes para {n} personas'),
  method: list('Preparación|Elaboración|Preparación:|Pasos'),
  parts: list('Para la salsa:|Para la masa|Para el relleno:'),
  serves: list('Para {n} personas|{n} raciones|{n} porciones'),
  times: list('Tiempo: {t} min|Tiempo de cocción: {t} minutos'),
  until: list('hasta que estén dorados|removiendo||'),
  sentences: [
    ...S(
      'board',
      'hands',
      'Pelar y picar las {i}.|Cortar las {i} en dados.|Mezclar las {i} con el {j} en un bol.|Lavar y escurrir las {i}.|Servir con {i}.|Salpimentar al gusto.|Escurrir.|Rallar el {i}.',
    ),
    ...S(
      'burner',
      'hands',
      'Sofreír las {i} {t} minutos en el {j}.|Dorar el {i} por todos lados, {t} minutos.|Añadir las {i} y rehogar {t} minutos.|Freír las {i} {t} minutos.|Calentar el aceite en una sartén.',
    ),
    ...S(
      'burner',
      'eyes',
      'Cocer a fuego lento {t} minutos.|Hervir las {i} {t} minutos en agua con sal.|Tapar y guisar {t} minutos.|Agregar el {i} y llevar a ebullición.',
    ),
    ...S('oven', 'none', 'Hornear {t} minutos a 180 °C.|Meter al horno {t} minutos.'),
    ...S('rest', 'none', 'Dejar reposar {t} minutos.|Remojar los {i} toda la noche.|Dejar enfriar.'),
    ...S('cold', 'none', 'Guardar en la nevera {t} minutos.|Marinar 2 horas en la nevera.'),
  ],
  notes: list('Consejo: se puede hacer con {i}.|Nota: aguanta {n} días.'),
  asides: list('Consejos|Comentarios ({n})|Notas'),
  talk: list('Un plato fácil y barato.|¡Muy rico, gracias!|Imprimir receta'),
};

/** The tongues in which recipes are made up, by how often. */
export const TONGUES: readonly Tongue[] = [English, English, English, English, German, French, Spanish];
