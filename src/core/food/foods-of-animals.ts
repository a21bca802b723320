/**
 * Foods of animals by the names that home cooks give them. A line: names and synonyms, then after `|` allergens and marks. Curated by hand
 * from common knowledge of the trade, no source; the check in `reference/` holds it against the published lists of allergens.
 */

/** Birds of the yard and their cuts. */
export const POULTRY = `
chicken, hen, cockerel, capon, poussin, spatchcock, boiling fowl, broiler, pullet, chook, poultry, fowl, cornish hen
turkey, turkey crown
duck, duckling, mallard, barbary duck, magret
goose, gosling
guinea fowl
quail
pigeon, squab
chicken drumstick, drumstick
chicken wing, wing
chicken thigh, thigh
chicken leg, chicken quarter, chicken breast, chicken fillet, chicken carcass, chicken frame, chicken bone, chicken oyster
chicken piece, chicken supreme, chicken tender, chicken tenderloin, chicken goujon, chicken escalope
chicken nugget, chicken kiev, breaded chicken, chicken schnitzel, chicken parmigiana | gluten, eggs, milk
turkey breast, turkey steak, turkey escalope, turkey thigh, turkey leg, turkey bacon, turkey wing, turkey neck
duck breast, duck leg, duck wing
smoked chicken, smoked duck, smoked turkey, chicken tikka piece, chicken ham, turkey ham, sliced chicken | ready
confit duck, duck confit, rotisserie chicken, cooked chicken, roast chicken, shredded cooked chicken, pulled chicken, pulled turkey | cooked
`;

/** Beef, lamb, pork and their cuts. */
export const RED_MEAT = `
beef, beef cheek, beef joint, ox cheek, ox, bullock, wagyu
brisket, oyster blade, oyster blade steak, salt beef, corned beef brisket
oxtail, beef shin, shin, shin of beef, beef shank, osso buco
stewing steak, braising steak, chuck, chuck steak, feather blade, feather steak, featherblade, blade steak, leg of beef, stewing beef, braising beef, stew meat, stewing meat, casserole steak
sirloin, rump, rump steak, ribeye, rib eye, t bone, porterhouse, entrecote, onglet, bavette, skirt steak, flank steak, flat iron, hanger steak, fillet steak, filet mignon, minute steak, tournedo, chateaubriand, tri tip, denver steak, frying steak
silverside, topside, top rump, rib of beef, forerib, fore rib, short rib, jacob ladder, roasting beef, beef roast, pot roast, prime rib
beef bone, marrow bone, bone marrow, veal bone, pork bone, lamb bone, ham bone, soup bone, knuckle bone
veal, veal shank, veal escalope, veal chop
lamb, lamb neck, lamb shank, lamb shoulder, leg of lamb, rack of lamb, lamb chop, lamb cutlet, lamb loin, cannon of lamb, lamb rump, lamb breast, hogget, barnsley chop, scrag end, chump chop, noisette
mutton, goat, goat meat, kid goat, kid meat, cabrito, chevon
shank, gigot, navarin
pork, pork belly, pork shoulder, pork loin, pork chop, pork fillet, pork tenderloin, pork leg, pork cheek, pork collar, pork butt, boston butt, pork hock, pork knuckle, pork trotter, trotter, pig trotter, pig cheek, pig ear, suckling pig, pig, hog
spare rib, baby back rib, pork rib, rib tip
gammon, gammon joint, gammon steak, ham hock, ham knuckle, raw ham, uncooked ham
bacon, back bacon, streaky bacon, lardon, bacon lardon, bacon bit, rasher, smoked bacon, guanciale, fresh pancetta, pork rind, pork skin
pancetta, salt pork, petit sale, fatback, fat back, unsmoked bacon
horse meat, horsemeat, camel meat, bison, buffalo meat, water buffalo, veal cheek
meat, red meat, diced meat, stew beef, boneless meat, butcher meat
ham, cooked ham, honey roast ham, york ham, baked ham, boiled ham, wiltshire ham | cooked
corned beef, tinned corned beef, bully beef, luncheon meat, pastrami, roast beef, cold cut, cold meat, pulled pork, haslet, brawn, head cheese, rillette, pate, liver pate, chopped pork | cooked
prosciutto, parma ham, serrano ham, iberico ham, jamon, jamon iberico, bayonne ham, black forest ham, westphalian ham, speck, bresaola, coppa, capocollo, culatello, lomo, cecina, biltong, beef jerky, jerky, cured ham, air dried ham | ready
salami, salame, saucisson, saucisson sec, soppressata, finocchiona, fuet, landjager, milano salami, cured sausage | ready, milk, sulphites
chorizo, nduja, pepperoni, sobrasada, sucuk, sujuk, peperoni, kielbasa, kabanos, smoked sausage, mettwurst | milk, sulphites
mortadella, bologna, polony | cooked, milk, tree nuts, sulphites
black pudding, blood sausage, morcilla, boudin noir, blutwurst, white pudding | raw, gluten, milk, sulphites
haggis | raw, gluten
frankfurter, frankfurt, hot dog, hotdog, hot dog sausage, wiener, saveloy, bockwurst, knackwurst | cooked, milk, mustard, celery, sulphites
`;

/** Minced and burger meats, fresh sausages. */
export const MINCED = `
mince, minced meat, ground meat, meat mince, minced beef, beef mince, ground beef, ground chuck, ground round, hamburger meat, minced pork, pork mince, ground pork, minced lamb, lamb mince, ground lamb, minced veal, veal mince, ground veal, steak mince, minced steak, mince beef, keema, kheema, qeema, minced mutton, faggot
hamburger, burger, beefburger, burger patty, beef patty, beef burger, lamb burger, slider, pork burger, cheeseburger patty | gluten, sulphites
sausage, pork sausage, beef sausage, lamb sausage, chipolata, banger, cumberland sausage, lincolnshire sausage, breakfast sausage, bratwurst, sausage meat, sausagemeat, weisswurst, cumberland ring, sausage patty, pork stuffing | gluten, milk, sulphites, mustard
italian sausage, toulouse sausage, merguez, boerewurst, boerewors, salsiccia, longaniza, luganega | sulphites
meatball, kofta, kofte, kefta, kibbeh, cevapcici, frikadelle, rissole, meat loaf, meatloaf, beef meatball, pork meatball, swedish meatball, polpette, kebab meat, doner meat | gluten, eggs, milk
chicken mince, minced chicken, ground chicken, chicken burger, turkey mince, minced turkey, ground turkey, turkey burger, turkey meatball, chicken meatball, minced duck, duck mince | bird
chicken sausage, turkey sausage | bird, gluten, milk, sulphites, mustard
scotch egg, sausage roll | gluten, eggs, milk, sulphites
venison mince, minced venison, ground venison, venison burger, venison sausage | gluten
`;

/** Game with fur. */
export const GAME = `
venison, deer, roe deer, red deer, elk, moose, reindeer, caribou, venison steak, venison haunch, venison loin
rabbit, hare, wild rabbit, jugged hare
wild boar, boar
kangaroo, ostrich, emu, crocodile, alligator, squirrel
`;
/** Game with feathers. */
export const GAME_BIRDS = `
pheasant, partridge, grouse, woodcock, snipe, wild duck, teal, wood pigeon, ptarmigan
`;

/** Liver, kidneys and the like. */
export const OFFAL = `
sweetbread, liver, calf liver, lamb liver, beef liver, pig liver, pork liver, ox liver, veal liver
lamb kidney, beef kidney, ox kidney, calf kidney, pig kidney, veal kidney
ox tongue, beef tongue, lamb tongue, pork tongue, tongue, beef heart, ox heart, lamb heart, chitterling, tripe, andouille, andouillette, lung, spleen, brain, caul fat, caul, pork blood, blood, testicle, melt, cow heel, cow foot, beef foot, calf foot
chicken liver, duck liver, goose liver, turkey liver, chicken heart, chicken gizzard, gizzard, giblet, turkey giblet, chicken neck, chicken foot, foie gras | bird
`;

/** Fish, fresh, smoked and cured. */
export const FISH = `
fish, white fish, oily fish, fish fillet, white fish fillet, whitefish, fish steak, fish head, fish bone, fish pie mix, fish frame, flatfish, whitebait, monk tail
cod, cod loin, cod fillet, cod cheek, ling, haddock, pollock, pollack, coley, saithe, hake, whiting, pouting, hoki, blue grenadier
sea bass, seabass, bass, barramundi, branzino, sea bream, seabream, bream, gilthead, dorade, red snapper, snapper, grouper, croaker, mullet, red mullet, grey mullet, rouget, gurnard, john dory, wrasse, corvina, meagre, drum, sheepshead, bluefish, tilefish, mahi mahi, dorado, wahoo, kingfish, amberjack, cobia, pomfret, rohu, catla, hilsa, ilish, hamour, parrotfish, milkfish, bangus
sole, dover sole, lemon sole, plaice, flounder, turbot, brill, halibut, dab, megrim, skate, skate wing, ray, ray wing, sand dab
salmon, salmon fillet, salmon steak, sockeye, coho, trout, rainbow trout, sea trout, arctic char, char, steelhead
tuna, tuna steak, yellowfin, ahi, bluefin, albacore, bonito, skipjack, swordfish, swordfish steak, marlin, shark, dogfish, huss, rock salmon, monkfish, monkfish tail, conger, conger eel, eel, sturgeon, lamprey
mackerel, horse mackerel, jack mackerel, scad, herring, sprat, sardine, pilchard, smelt, shad, garfish
tilapia, catfish, basa, pangasius, river cobbler, carp, pike, perch, zander, pikeperch, nile perch, grayling, tench, barramundi fillet, cusk, redfish, rockfish, orange roughy, sablefish, black cod, escolar, opah, lingcod, toothfish, patagonian toothfish, wolffish, scorpion fish, weever, butterfish
smoked haddock, finnan haddie, smoked cod, arbroath smokie, kipper, kippered herring, bloater, smoked pollock, yellow fish
salt cod, saltfish, salt fish, bacalao, bacalhau, baccala, stockfish, dried fish, dried cod, klippfish, bombay duck
fish finger, fish stick, fish cake, fishcake, fish ball, breaded fish, battered fish, goujon of plaice | gluten, eggs, milk
fish roe, cod roe, roe, soft roe, herring roe, milt
smoked salmon, lox, gravlax, gravadlax, smoked trout, smoked mackerel, smoked eel, smoked sturgeon, smoked sprat, smoked herring, buckling, hot smoked salmon, peppered mackerel | ready
anchovy, anchovy fillet, salted anchovy, anchovy paste, anchovy essence, rollmop, pickled herring, matjes, soused herring, marinated anchovy, boqueron, bottarga, caviar, salmon roe, lumpfish roe, ikura, tobiko, masago, trout roe, taramasalata, tarama | ready
tinned tuna, tinned salmon, tinned sardine, tinned mackerel, tuna chunk, smoked mackerel pate, tuna mayonnaise | cooked
bonito flake, katsuobushi, dried anchovy, niboshi, dried bonito | ready
surimi, crab stick, seafood stick, kamaboko, fish tofu | cooked, crustaceans, eggs, gluten, soy
`;

/** Prawns, crabs and their kin. */
export const CRUSTACEANS = `
prawn, king prawn, tiger prawn, jumbo prawn, shrimp, shell on prawn, gambas, raw prawn, green prawn
crab, crabmeat, crab meat, brown crab, white crabmeat, soft shell crab, blue crab, spider crab, crab claw, dungeness crab, king crab
lobster, lobster tail, crayfish, crawfish, langoustine, scampi, dublin bay prawn, norway lobster, spiny lobster, langosta, yabby, moreton bay bug, krill, barnacle, goose barnacle
brown shrimp, potted shrimp, cooked prawn, peeled cooked prawn, dressed crab, tinned crab | cooked
dried shrimp, dried prawn, shrimp powder, ground crayfish, dried crayfish | ready
shrimp paste, belacan, terasi, prawn paste, kapi, gapi | ready
bagoong | ready, fish
prawn cracker, shrimp cracker | ready
`;

/** Mussels, squid and their kin. */
export const MOLLUSCS = `
mussel, green lipped mussel, clam, palourde, vongole, cockle, razor clam, whelk, winkle, periwinkle, limpet, cherrystone clam, geoduck
oyster, shucked oyster
scallop, queen scallop, king scallop, queenie, bay scallop, sea scallop
squid, calamari, calamar, squid ring, squid tube, baby squid, cuttlefish, octopus, baby octopus, squid ink, cuttlefish ink
snail, escargot, abalone, conch, sea urchin, uni, sea snail
smoked oyster, smoked mussel, tinned clam, tinned octopus, tinned squid, cooked mussel | cooked
seafood, seafood mix, mixed seafood, seafood cocktail, shellfish, mixed shellfish, fruits de mer | crustaceans, fish
`;

/** Eggs of all birds, and parts of them. */
export const EGGS = `
egg, hen egg, chicken egg, duck egg, quail egg, goose egg, egg white, egg yolk, whole egg, beaten egg, egg wash, liquid egg, egg glaze
hard boiled egg, boiled egg, pickled egg, cooked egg, salted duck egg, century egg, firm egg | cooked
`;

/** Milk and what is made of it. */
export const DAIRY = `
milk, whole milk, full fat milk, semi skimmed milk, skimmed milk, skim milk, cow milk, goat milk, sheep milk, ewe milk, buffalo milk, raw milk, uht milk, warm milk, milk powder, powdered milk, dried milk, buttermilk, kefir, ayran, lassi, evaporated milk, condensed milk, whey, whey powder, buttermilk powder
cream, single cream, double cream, heavy cream, whipping cream, whipped cream, light cream, pouring cream, half and half, clotted cream, cooking cream, extra thick cream, squirty cream, smetana
sour cream, soured cream, creme fraiche, schmand, crema, kaymak, quark, fromage frais, fromage blanc, skyr, labneh, labne, tvorog, curd
yogurt, yoghurt, yoghourt, curd yogurt, greek yogurt, natural yogurt, plain yogurt, thick yogurt, strained yogurt, dahi, goat yogurt, set yogurt
butter, unsalted butter, salted butter, clarified butter, brown butter, beurre noisette, garlic butter, herb butter, ghee, samneh, smen, cold butter, melted butter, goat butter
cream cheese, soft cheese, mascarpone, ricotta, cottage cheese, paneer, queso fresco, farmer cheese, halloumi, haloumi, mozzarella, buffalo mozzarella, bocconcini, burrata, stracciatella, feta, feta cheese, anari, beyaz peynir, akkawi, nabulsi, mizithra, kefalotyri, brousse
cheese, hard cheese, soft ripened cheese, grated cheese, cheddar, cheddar cheese, double gloucester, red leicester, cheshire, wensleydale, lancashire cheese, caerphilly, gouda, edam, emmental, emmenthal, gruyere, comte, raclette, fontina, provolone, scamorza, taleggio, asiago, jarlsberg, havarti, leerdammer, maasdam, swiss cheese, monterey jack, colby, pepper jack, cotija, oaxaca cheese, american cheese, processed cheese, cheese slice, string cheese, goat cheese, chevre, sheep cheese, ewe cheese, blue cheese, stilton, roquefort, dolcelatte, cambozola, danish blue, saint agur, brie, camembert, reblochon, munster, epoisses, limburger, port salut, tomme, tilsiter, tilsit, appenzeller, vacherin, mimolette, cantal, morbier, manouri, graviera, kasseri, kashkaval, kasar, oka, cheese curd, cheese sauce, paneer cheese, smoked cheese, brunost, crottin
parmesan, parmesan cheese, parmigiano, parmigiano reggiano, grana padano, grana, pecorino, pecorino romano, manchego, gorgonzola, italian hard cheese | rennet
ice cream, custard, creme anglaise, vanilla ice cream, gelato, creme patissiere, frozen yogurt | eggs
white sauce, bechamel, cheese sauce mix, mornay, roux | gluten
dulce de leche, khoya, khoa, mawa, malai, rabri, kashk, qurut, milk solid, casein, lactose, nata
`;
