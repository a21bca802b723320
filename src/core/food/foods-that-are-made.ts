/** Fats, sweet things, breads, sauces and drinks; the same form as the foods of animals. Curated by hand from common knowledge, no source. */

/** Oils and fats of plants and animals. */
export const FATS = `
oil, olive oil, extra virgin olive oil, sunflower oil, rapeseed oil, canola oil, canola, vegetable oil, corn oil, grapeseed oil, coconut oil, avocado oil, palm oil, rice bran oil, safflower oil, cottonseed oil, frying oil, cooking oil, neutral oil, chilli oil, truffle oil, hemp oil, linseed oil, flaxseed oil, pumpkin seed oil, oil spray, cooking spray, garlic oil, light olive oil, herb oil, vegetable fat, vegetable shortening, shortening, vegetable suet, coconut fat, cocoa butter, shea butter, fat for frying, deep frying oil, red palm oil, dende oil, lemon oil
sesame oil, toasted sesame oil, gingelly oil | sesame
groundnut oil, peanut oil, arachis oil | peanuts
walnut oil, hazelnut oil, almond oil, argan oil, pistachio oil, nut oil | tree nuts
soybean oil, soya oil, soy oil | soy
margarine, spread, baking spread, sunflower spread, vegetable spread, buttery spread | milk, soy, diet:vegetarian
lard, dripping, beef dripping, suet, beef suet, goose fat, duck fat, chicken fat, schmaltz, bacon fat, lamb fat, tail fat, beef fat, pork fat, tallow, beef tallow, leaf lard, shredded suet, rendered fat, fat, lardo, strutto, gravy fat | diet:with meat, cooked
`;

/** Sugars, syrups, chocolate. */
export const SWEETS = `
sugar, caster sugar, granulated sugar, golden caster sugar, white sugar, brown sugar, light brown sugar, dark brown sugar, soft brown sugar, demerara, demerara sugar, muscovado, muscovado sugar, light muscovado sugar, dark muscovado sugar, icing sugar, powdered sugar, confectioner sugar, palm sugar, coconut sugar, jaggery, gur, piloncillo, panela, rapadura, raw sugar, cane sugar, superfine sugar, rock sugar, pearl sugar, preserving sugar, jam sugar, sugar cube, sweetener, stevia, erythritol, xylitol, fructose, glucose, dextrose, isomalt
maple syrup, golden syrup, corn syrup, glucose syrup, agave, agave syrup, agave nectar, date syrup, date molasses, silan, treacle, black treacle, molasses, rice syrup, brown rice syrup, sugar syrup, simple syrup, grenadine, pomegranate molasses, grape molasses, pekmez, carob molasses, carob syrup, elderflower cordial, cordial, blackcurrant cordial, birch syrup, carob powder, carob
honey, clear honey, runny honey, set honey, manuka honey, honeycomb, acacia honey | honey
barley malt syrup, malt extract, malt syrup, malted drink powder | gluten
jam, strawberry jam, raspberry jam, apricot jam, marmalade, orange marmalade, redcurrant jelly, cranberry sauce, cranberry jelly, quince paste, membrillo, lemon marmalade, plum jam, fig jam, damson jelly, mint jelly, apple jelly, crab apple jelly, chutney, mango chutney, tomato chutney, apple chutney, onion chutney, onion marmalade, caramelised onion chutney, lime pickle, mango pickle, indian pickle, fruit chutney | sulphites
mincemeat, christmas mincemeat | sulphites, diet:with meat
lemon curd, orange curd | eggs, milk
dark chocolate, chocolate, plain chocolate, cooking chocolate, milk chocolate, white chocolate, chocolate chip, chocolate spread, couverture, chocolate bar | milk, soy, diet:vegetarian
hazelnut spread, chocolate hazelnut spread, nougat, turron, praline paste | tree nuts, milk, soy, diet:vegetarian
cocoa, cocoa powder, cacao, cacao nib, cacao powder, unsweetened cocoa
toffee, fudge, caramel, caramel sauce, butterscotch | milk
marshmallow, turkish delight, jelly baby, jelly, jello, wine gum | diet:with meat
meringue, meringue nest | eggs
biscuit, cookie, digestive biscuit, digestive, shortbread, graham cracker, ginger nut biscuit, gingerbread, amaretti biscuit, speculoos, rich tea biscuit, cheese biscuit, wafer, cake, sponge cake, fruit cake, brownie, muffin, doughnut, brioche, croissant, pain au chocolat, panettone, stollen, lady finger, ladyfinger, sponge finger, savoiardi, waffle, pancake, crepe, blini, scone, eclair, madeleine, danish pastry, hot cross bun, teacake | gluten, eggs, milk, diet:vegetarian
`;

/** Breads, pastry, crumbs. */
export const BREADS = `
bread, white bread, brown bread, wholemeal bread, sourdough bread, country bread, crusty bread, stale bread, french bread, baguette, ciabatta, rye bread, pumpernickel, sliced bread, bread roll, roll, bread crust, toast, crouton, breadcrumb, fresh breadcrumb, dried breadcrumb, panko, panko breadcrumb, rusk, melba toast, crispbread, pita, pitta, pita bread, pitta bread, flatbread, flat bread, lavash, chapati, chapatti, roti, tortilla, flour tortilla, wheat tortilla, wrap, tortilla wrap, barbari bread, sangak, bagel, english muffin, crumpet, bread stick, breadstick, grissini, pretzel, matzo, matzah, matzo meal, soda bread, bread dough, pizza dough, pizza base, injera, dosa batter, ekmek, simit, sage and onion stuffing, tempura batter, tempura flour, sandwich bread, toasted bread, day old bread, sourdough, cracker, cream cracker, water biscuit, oatcake, pull apart bread, bao, bao bun, steamed bun, mantou | gluten
focaccia, olive bread | gluten
malt loaf | gluten, sulphites
granary bread, seeded bread | gluten, sesame
burger bun, hamburger bun, hot dog bun, bun, bread bun, hot dog roll | gluten, eggs, milk, sesame, diet:vegetarian
brioche bun, milk bread | gluten, eggs, milk, diet:vegetarian
challah | gluten, eggs, sesame, diet:vegetarian
naan, naan bread, nan bread, garlic naan, peshwari naan, kulcha, paratha, bhatura, garlic bread | gluten, milk, diet:vegetarian
puri bread | gluten
cornbread, corn bread, yorkshire pudding, popover | gluten, milk, eggs, diet:vegetarian
breaded, crumbed, battered | gluten, eggs, milk, diet:vegetarian
buttered, creamed, creamy, cheesy, au gratin | milk, diet:vegetarian
pastry, shortcrust, shortcrust pastry, puff pastry, pie crust, pie dough, sweet pastry, rough puff, flaky pastry, bread sauce, all butter puff pastry, all butter pastry, all butter shortcrust, butter puff pastry | gluten, milk, diet:vegetarian
french toast, cheese straw, pancake mix, batter, pancake batter, vol au vent, macaroni cheese | gluten, milk, eggs, diet:vegetarian
`;

/** Sauces, pastes, vinegars, pickles. */
export const SAUCES = `
vinegar, white vinegar, cider vinegar, apple cider vinegar, apple vinegar, wine vinegar, red wine vinegar, white wine vinegar, sherry vinegar, balsamic, balsamic vinegar, balsamic glaze, champagne vinegar, distilled vinegar, raspberry vinegar, cooking vinegar, verjuice, verjus | sulphites
rice vinegar, rice wine vinegar, coconut vinegar, palm vinegar, cane vinegar, umeboshi vinegar, umeboshi
malt vinegar, brown vinegar, black vinegar, chinkiang vinegar, black rice vinegar | gluten
soy sauce, soya sauce, light soy sauce, dark soy sauce, shoyu, soy, soya, teriyaki sauce, teriyaki, teriyaki marinade, mushroom soy sauce, kecap manis, ketjap manis, sweet soy sauce, yakitori sauce, stir fry sauce, ponzu, ponzu sauce, low salt soy sauce | soy, gluten
tamari, liquid amino | soy
hoisin, hoisin sauce, char siu sauce, bulgogi sauce, sesame dressing, sweet bean sauce, sukiyaki sauce, tonkatsu sauce, okonomiyaki sauce | soy, gluten, sesame
miso, miso paste, white miso, red miso, doenjang, gochujang, black bean sauce, yellow bean sauce, fermented black bean, doubanjiang, chilli bean paste, chilli bean sauce, ssamjang, fermented bean paste, bean paste, soybean paste, korean chilli paste, brown miso | soy, gluten
fish sauce, nam pla, nuoc mam, colatura, garum, patis, fish seasoning | fish, diet:with fish
oyster sauce | molluscs, soy, gluten, diet:with fish
xo sauce | crustaceans, molluscs, soy, gluten, diet:with fish
worcestershire sauce, worcester sauce, worcestershire, anchovy sauce, caesar dressing | fish, gluten, soy, sulphites, diet:with fish
mayonnaise, mayo, aioli, garlic mayonnaise, tartare sauce, tartar sauce, salad cream, thousand island dressing, remoulade, marie rose sauce, coleslaw, potato salad, egg mayonnaise, burger sauce, honey mustard dressing | eggs, mustard, diet:vegetarian
hollandaise, bearnaise | eggs, milk, diet:vegetarian
ranch dressing, blue cheese dressing | eggs, mustard, milk, diet:vegetarian
ketchup, tomato ketchup, tomato relish | celery
sweet chilli sauce, chilli sauce, hot sauce, sriracha, piri piri sauce, peri peri sauce, pepper sauce, hot pepper sauce, sambal oelek, duck sauce, chimichurri | sulphites
salsa, tomato salsa, enchilada sauce | celery
buffalo sauce | milk, diet:vegetarian
barbecue sauce, bbq sauce, brown sauce, steak sauce, relish, pickle, piccalilli | sulphites, mustard, celery, gluten, soy
mint sauce | gluten, sulphites
plum sauce, sweet and sour sauce | soy, gluten, sulphites
sambal | crustaceans, fish, diet:with fish
vinaigrette, french dressing | mustard, sulphites
jerk paste, jerk marinade | soy, gluten, sulphites
italian dressing, salad dressing, dressing, mustard sauce, horseradish sauce, creamed horseradish, horseradish cream, onion gravy | sulphites, mustard, celery, gluten, milk, eggs, diet:vegetarian
coconut amino, harissa, rose harissa, harissa paste, pepper paste, red pepper paste, biber salcasi, ajvar, chilli paste, zhoug, zhug, schug, chermoula, green seasoning, sofrito, recado rojo, achiote paste, adobo paste, chipotle paste, sun dried tomato paste, ginger paste, garlic paste, ginger garlic paste, mushroom ketchup
tapenade, olive tapenade | fish, diet:with fish
pesto, basil pesto, green pesto, red pesto, rocket pesto | milk, tree nuts, rennet, diet:vegetarian
hummus, houmous, humus, hommous, baba ganoush, baba ghanoush, moutabal, tarator, tahini sauce | sesame
tzatziki, raita, cacik, sour cream dip, blue cheese dip, ranch, alfredo sauce, butter sauce, cream sauce, carbonara sauce, mushroom sauce, tikka masala sauce, korma sauce, butter chicken sauce | milk, diet:vegetarian
guacamole, salsa fresca, pico de gallo, baked bean, mushy pea
curry paste, thai curry paste, red curry paste, green curry paste, yellow curry paste, massaman paste, massaman curry paste, laksa paste, tom yum paste, rendang paste, sambal belacan, panang paste, nasi goreng paste, thai red curry paste, thai green curry paste | crustaceans, fish, soy, diet:with fish
tikka paste, korma paste, madras paste, tandoori paste, balti paste, rogan josh paste, vindaloo paste, jalfrezi paste, indian curry paste, bhuna paste | mustard, sulphites
satay sauce, peanut sauce | peanuts, soy, gluten, crustaceans, fish, diet:with fish
mole, mole paste, mole sauce, romesco, romesco sauce, muhammara, pipian | tree nuts, peanuts, sesame, gluten
yeast extract spread, yeast extract, bouillon seasoning | gluten, celery, soy
falafel, falafel mix, onion bhaji, pakora, bhaji, veggie burger, bean burger, vegetable burger, vegetable spring roll, vegetarian sausage, veggie sausage, vegetarian mince, veggie mince, vegetarian burger, mycoprotein | gluten, soy, eggs, milk, mustard, celery, sesame, diet:vegetarian
`;

/** Stocks and broths. */
export const STOCKS = `
vegetable stock, veg stock, vegetable broth, vegetable bouillon, vegetable stock cube, vegetable stock powder, mushroom stock, mushroom broth, vegetable stock pot, corn stock, tomato broth | celery, diet:vegan
chicken stock, chicken broth, chicken stock cube, chicken bouillon, chicken stock pot, turkey stock, duck stock, beef stock, beef broth, beef stock cube, beef bouillon, bone broth, veal stock, lamb stock, ham stock, pork stock, brown stock, demi glace, demi glaze, beef consomme, consomme, meat stock, meat broth, game stock, gravy, gravy granule, jus, beef extract, meat extract, bone stock, pork bone broth, tonkotsu broth | celery, gluten, diet:with meat
fish stock, fish broth, fish fumet, fumet, fish stock cube, dashi, dashi stock, dashi powder, fish bouillon | fish, celery, diet:with fish
shellfish stock, prawn stock, lobster stock, bisque, lobster bisque, shrimp stock, seafood stock, crab stock, court bouillon shellfish, clam juice, mussel liquor | crustaceans, molluscs, fish, celery, diet:with fish
court bouillon, kombu dashi, kombu stock, bean broth, chickpea water, aquafaba, mushroom soaking water, pasta water, rice water, potato water | celery, diet:vegan
`;

/** Wine, beer, spirits, juices. */
export const DRINKS = `
wine, red wine, white wine, rose wine, dry white wine, sparkling wine, prosecco, champagne, cava, cooking wine, port, sherry, dry sherry, fino, madeira, marsala, vermouth, dry vermouth, vin santo, mulled wine, rice wine, mead, fortified wine, vin jaune, muscat wine, manzanilla, amontillado, wine must | sulphites
shaoxing, shaoxing wine, shaoxing rice wine, chinese cooking wine, chinese rice wine | gluten, sulphites
cider, dry cider, hard cider, medium cider, apple cider, sweet cider, perry, scrumpy, strong cider | sulphites
beer, ale, lager, stout, porter, wheat beer, brown ale, pale ale, pilsner, dark beer, light beer, ginger beer alcoholic, barley wine, kvass, bock, ipa, mild ale, non alcoholic beer, alcohol free beer | gluten, sulphites
sake, mirin, soju, shochu, hon mirin
brandy, cognac, armagnac, calvados, rum, dark rum, white rum, vodka, gin, whisky, whiskey, bourbon, scotch, tequila, mezcal, pisco, kirsch, schnapps, grappa, aquavit, ouzo, pastis, raki, arak, absinthe, sambuca, cachaca, eau de vie, applejack, slivovitz
triple sec, orange liqueur, coffee liqueur, limoncello, cassis, creme de cassis, elderflower liqueur, sloe gin, bitters, cherry liqueur, chambord, liqueur, curacao, maraschino
amaretto, hazelnut liqueur, nocino, orgeat | tree nuts
irish cream, cream liqueur | milk, diet:vegetarian
advocaat, eggnog, egg nog | eggs, milk, diet:vegetarian
coffee, instant coffee, espresso, tea, black tea, green tea, lapsang souchong, rooibos, hibiscus tea, matcha, herbal tea, cola, lemonade, ginger beer, ginger ale, tonic water, soda water, club soda, tomato juice drink, vegetable juice drink, kombucha, pickle juice, pickle brine, brine, olive brine
oat milk, oat drink, oat cream, oat yogurt, barley water | gluten
rice milk, rice drink, hemp milk, coconut yogurt, coconut yoghurt, coconut drink, pea milk, flax milk, tigernut milk, horchata
malted milk, malted milk powder, hot chocolate, drinking chocolate, instant hot chocolate | gluten, milk, diet:vegetarian
`;

/** Water, ice. */
export const WATERS = `
water, cold water, hot water, warm water, lukewarm water, boiling water, iced water, ice, ice cube, ice water, mineral water, sparkling water, soaking water, tap water, water from the kettle, water from kettle, spring water
`;

/** What is in the list and not eaten. */
export const NOT_EATEN = `
baking paper, parchment, baking parchment, greaseproof paper, foil, aluminium foil, aluminum foil, kitchen string, string, butcher twine, twine, skewer, wooden skewer, cocktail stick, toothpick, muslin, cheesecloth, paper, kitchen paper, paper towel, cling film, cedar plank, wood chip, muffin case, cupcake case, kitchen foil
`;
