/** Foods of plants; the same form as the foods of animals. Curated by hand from common knowledge of the trade, no source. */

/** Vegetables, herbs, mushrooms and seaweeds. */
export const VEGETABLES = `
onion, red onion, white onion, brown onion, yellow onion, spanish onion, shallot, banana shallot, echalion, spring onion, scallion, green onion, salad onion, pearl onion, baby onion, pickling onion, silverskin onion, calcot
garlic, garlic clove, clove of garlic, wild garlic, ramson, ramp, black garlic, green garlic, garlic scape, garlic granule, garlic powder, leek, baby leek, chive, chinese chive, garlic chive
ginger, fresh ginger, ginger root, galangal, fresh turmeric, turmeric root, fingerroot, stem ginger
carrot, baby carrot, parsnip, turnip, baby turnip, swede, rutabaga, mooli, daikon, radish, black radish, horseradish, fresh horseradish, wasabi root, salsify, scorzonera, jerusalem artichoke, sunchoke, crosne, parsley root, burdock, lotus root, water chestnut, jicama, yacon, bamboo shoot
potato, new potato, baby potato, floury potato, waxy potato, baking potato, salad potato, mashed potato, roast potato, mash, chip, french fry, oven chip, hash brown, tater tot, potato wedge
sweet potato, yam, cassava, yuca, manioc, taro, eddo, cocoyam, dasheen, malanga, ube, oca, breadfruit | hard
squash, butternut, butternut squash, pumpkin, kabocha, acorn squash, delicata, spaghetti squash, onion squash, crown prince squash, winter squash, turban squash, gem squash, calabaza | hard
celeriac, celery root | hard, celery
swede root, kohlrabi, beetroot, beet, golden beetroot, candy beetroot | hard
cooked beetroot, vacuum packed beetroot, pickled beetroot | cooked
celery, celery stalk, celery stick, celery rib, celery heart, celery leaf, celery salt, celery seed | celery
cabbage, white cabbage, red cabbage, savoy, savoy cabbage, pointed cabbage, hispi, sweetheart cabbage, napa cabbage, chinese cabbage, chinese leaf, green cabbage, january king | hard
brussel sprout, sprout, brussels sprout top, kale, cavolo nero, black kale, curly kale, red kale, kalette, spring green, collard, collard green, chard, swiss chard, rainbow chard, spinach, baby spinach, water spinach, morning glory, pak choi, bok choy, choy sum, tatsoi, mizuna, turnip top, turnip green, cime di rapa, broccoli rabe, rapini, beet green, beetroot leaf, callaloo, amaranth leaf, sorrel, nettle, dandelion, purslane, sea beet, samphire, agretti, orache, moringa leaf, drumstick leaf, fenugreek leaf, methi leaf, methi, sweet potato leaf, cassava leaf, pumpkin leaf, jute leaf, molokhia, mulukhiyah, malabar spinach, ugu, bitter leaf, greens, winter green, mixed green, green leaf, asian green, green vegetable, leafy green, summer green
broccoli, tenderstem, tenderstem broccoli, broccolini, purple sprouting broccoli, sprouting broccoli, chinese broccoli, gai lan, cauliflower, romanesco, cauliflower rice, cauliflower leaf
lettuce, butter lettuce, little gem, cos, romaine, iceberg, butterhead, lollo rosso, oak leaf, lamb lettuce, mache, corn salad, rocket, arugula, watercress, cress, land cress, radicchio, chicory, endive, belgian endive, frisee, escarole, treviso, salad, salad leaf, mixed leaf, mixed salad, baby leaf, leaf, microgreen, pea shoot, sunflower shoot, alfalfa, alfalfa sprout
tomato, cherry tomato, plum tomato, beef tomato, beefsteak tomato, vine tomato, roma tomato, green tomato, sun dried tomato, sun blushed tomato, semi dried tomato, tomatillo
tinned tomato, canned tomato, chopped tomato, plum tomato tin, crushed tomato, tomato passata, passata, sieved tomato, tomato paste, tomato puree, tomato concentrate, tomato sauce, strained tomato, tomato pulp, tomato juice, pizza sauce, marinara sauce, polpa | cooked
pepper vegetable, red pepper, green pepper, yellow pepper, orange pepper, bell pepper, sweet pepper, romano pepper, pointed pepper, capsicum, padron pepper, shishito, piquillo, piquillo pepper, roast pepper, roasted pepper, jarred pepper, mixed pepper, long pepper vegetable, paprika pepper
chilli, chili, chile, chilly, green chilli, red chilli, bird eye chilli, thai chilli, jalapeno, serrano, habanero, poblano, ancho, chipotle, pasilla, guajillo, arbol, fresno chilli, aji amarillo, chilli pepper, hot pepper, green finger chilli, kashmiri chilli, dried chilli, crushed chilli, chilli flake, red pepper flake, pickled chilli, aleppo pepper, pul biber, gochugaru
scotch bonnet, whole hot pepper, whole scotch bonnet, whole chilli, whole habanero, whole green chilli, whole red chilli, whole jalapeno, whole dried chilli, whole dried red chilli, whole hot chilli, whole bird eye chilli | pepper
aubergine, eggplant, egg plant, brinjal, baby aubergine, thai aubergine, pea aubergine, courgette, zucchini, courgette flower, marrow, vegetable marrow, patty pan, summer squash, cucumber, gherkin cucumber, kirby cucumber, okra, lady finger okra, bhindi, bitter gourd, bitter melon, karela, bottle gourd, lauki, ridge gourd, snake gourd, ash gourd, winter melon, chayote, christophene, cho cho, luffa, tinda, ivy gourd, drumstick vegetable, moringa pod
mushroom, button mushroom, chestnut mushroom, portobello, portobello mushroom, flat mushroom, field mushroom, cremini, shiitake, oyster mushroom, king oyster mushroom, king oyster, enoki, shimeji, maitake, hen of the wood, chicken of the wood, porcini, cep, chanterelle, girolle, morel, wild mushroom, black truffle, truffle, wood ear, cloud ear, black fungus, straw mushroom, dried mushroom, dried porcini, dried shiitake, mixed mushroom, blewit, huitlacoche, nameko
pea, garden pea, petit pois, frozen pea, green pea, mangetout, mange tout, snow pea, sugar snap, sugar snap pea, green bean, french bean, fine bean, haricot vert, string bean, runner bean, yard long bean, long bean, snake bean, wax bean, flat bean, helda bean, broad bean fresh, winged bean, bean sprout, beansprout, mung bean sprout
fennel, fennel bulb, asparagus, white asparagus, artichoke, globe artichoke, baby artichoke, artichoke heart, artichoke bottom, heart of palm, palm heart, cardoon, celtuce, fiddlehead, rhubarb, banana blossom, banana flower, nopales, nopal, cactus paddle, jackfruit, young jackfruit, green jackfruit, green papaya, vine leaf, grape leaf, banana leaf, plantain, green plantain, ripe plantain, green banana
sweetcorn, corn, corn on the cob, corn cob, baby corn, maize cob, corn kernel, hominy, sweet corn
olive, black olive, green olive, kalamata olive, kalamata, pitted olive, caper, caper berry, gherkin, cornichon, dill pickle, pickle gherkin, pickled cucumber, pickled ginger, pickled turnip, pickled jalapeno, pickled walnut fruit, sauerkraut, pickled cabbage, pickled vegetable, pickled radish | ready
pickled onion, giardiniera, pickled shallot | ready, sulphites
kimchi | ready, fish, crustaceans, diet:with fish
seaweed, nori, kombu, kelp, wakame, dulse, hijiki, arame, sea lettuce, laver, laverbread, samphire sea, agar, agar agar, carrageen, irish moss
vegetable, mixed vegetable, root vegetable, root, roots, stir fry vegetable, frozen vegetable, winter vegetable, roasting vegetable, summer vegetable, seasonal vegetable
soup mix vegetable, soup vegetable, vegetable trimming, sofrito vegetable, mirepoix, soffritto, suppengrun, pot vegetable | celery
edible flower, nasturtium, marigold petal, rose petal, lavender, elderflower, hibiscus, hibiscus flower, violet, borage flower
`;

/** Fruit, fresh and dried. */
export const FRUIT = `
apple, sharp apple, cooking apple, bramley, bramley apple, eating apple, crab apple, granny smith, pear, nashi, asian pear, quince, medlar, apple sauce, apple puree, apple butter
lemon, lime, orange, blood orange, seville orange, clementine, mandarin, tangerine, satsuma, grapefruit, pomelo, kumquat, yuzu, bergamot, citron, calamansi, lemon juice, lime juice, orange juice, lemon zest, orange zest, lime zest, lemon rind, orange peel, citrus, preserved lemon, dried lime, black lime, loomi
plum, damson, greengage, mirabelle, sloe, cherry, sour cherry, morello cherry, cherry plum, peach, nectarine, apricot, fresh apricot
grape, red grape, green grape, fig, fresh fig, pomegranate, pomegranate seed, pomegranate arils, persimmon, kaki, sharon fruit, date plum
strawberry, raspberry, blackberry, blueberry, redcurrant, blackcurrant, whitecurrant, red currant, gooseberry, cranberry, lingonberry, bilberry, cloudberry, mulberry, boysenberry, loganberry, elderberry, rowan berry, rosehip, barberry, zereshk, goji berry, sea buckthorn, acai, berry, mixed berry, summer fruit, physalis, cape gooseberry
mango, green mango, papaya, pawpaw, banana, kiwi, kiwi fruit, passion fruit, passionfruit, guava, lychee, rambutan, longan, dragon fruit, star fruit, carambola, mangosteen, durian, soursop, custard apple, cherimoya, sapodilla, tamarillo, feijoa, loquat, ackee, breadnut, tamarind, tamarind pulp, tamarind paste, tamarind concentrate, amchur, mango powder, dried mango powder
coconut, fresh coconut, whole coconut, pineapple, melon, watermelon, cantaloupe, honeydew, galia | hard
avocado, coconut flesh, coconut flake, coconut milk, coconut cream, cream of coconut, coconut butter, creamed coconut, coconut block, coconut water, grated coconut, coconut chip, coconut powder, light coconut milk
date, medjool, medjool date, prune, dried fig, dried cranberry, dried cherry, dried barberry, dried blueberry, dried date, dried plum, prune juice
desiccated coconut | sulphites
raisin, sultana, currant, golden raisin, dried currant, zante currant, vine fruit, mixed dried fruit, dried fruit, dried apricot, dried apple, dried pear, dried peach, dried mango, dried pineapple, candied peel, mixed peel, candied fruit, glace cherry, crystallised ginger, maraschino cherry, dried grape | sulphites
fruit, stone fruit, seasonal fruit, tinned peach, tinned pineapple, tinned pear, fruit salad, fruit juice, apple juice, grape juice, pineapple juice, cranberry juice, pomegranate juice, tropical fruit, citrus fruit
`;

/** Grain, flour and pasta. */
export const GRAINS_FOOD = `
rice, long grain rice, basmati, basmati rice, jasmine rice, thai rice, short grain rice, sushi rice, arborio, arborio rice, carnaroli, vialone nano, risotto rice, paella rice, bomba rice, pudding rice, brown rice, red rice, black rice, wild rice, sticky rice, glutinous rice, parboiled rice, converted rice, easy cook rice, camargue rice, broken rice, aged long grain rice, soft rice, scented rice, scented long grain rice, soft scented long grain rice, calrose, white rice, grain, sella rice, ground rice, rice flake, poha, flattened rice, puffed rice, idli rice, matta rice
cooked rice, cooked grain, leftover rice, microwave rice, rice pouch, steamed rice, boiled rice | cooked
millet, fonio, sorghum, teff, amaranth, quinoa, red quinoa, black quinoa, buckwheat, roasted buckwheat, kasha, buckwheat groat, job tear, maize, maize meal, mealie meal
polenta, coarse polenta, cornmeal, corn meal, grits, masa harina, masa, maize flour, corn flour, cornflour, corn starch, cornstarch, semolina corn, popcorn, popping corn, corn tortilla, tortilla chip, taco shell, tapioca, tapioca starch, tapioca pearl, sago, sago pearl, arrowroot, potato starch, potato flour, rice flour, glutinous rice flour, rice starch, starch, coconut flour, cassava flour, garri, gari, fufu flour, tapioca flour, plantain flour, banana flour, buckwheat flour, millet flour, sorghum flour, teff flour, quinoa flour, chestnut flour, rice noodle, rice vermicelli, vermicelli rice noodle, glass noodle, cellophane noodle, bean thread, mung bean noodle, sweet potato noodle, rice paper, rice paper wrapper, rice cake, tteok, kelp noodle, shirataki, shirataki noodle, konjac noodle, poppadom, papadum, corn cake, ho fun, pho noodle, pad thai noodle, rice stick, rice ribbon noodle
barley, pearl barley, pot barley, barley flake, bulgur, bulgar, bulghur, burghul, bulgur wheat, cracked wheat, coarse bulgur, fine bulgur, couscous, giant couscous, israeli couscous, pearl couscous, moghrabieh, maftoul, fregola, freekeh, cracked freekeh, farro, pearled farro, emmer, einkorn, spelt, pearled spelt, kamut, khorasan wheat, triticale, wheat, wheat berry, wheatberry, durum wheat, rye, rye berry, rye flake, wheat germ, wheatgerm, bran, wheat bran, semolina, coarse semolina, fine semolina, sooji, suji, rava, dalia, seitan, wheat gluten, vital wheat gluten, wheat protein, malt, malted barley, barley malt, grain spelt | gluten
oat, rolled oat, porridge oat, steel cut oat, oatmeal, pinhead oatmeal, oat flake, jumbo oat, oat bran, oat groat, oat flour, breakfast cereal, cereal | gluten
corn flake, cornflake, malted flake | gluten
muesli, granola | gluten, tree nuts, milk, sesame
flour, plain flour, all purpose flour, wheat flour, white flour, strong flour, bread flour, strong white flour, wholemeal flour, whole wheat flour, wholewheat flour, self raising flour, self rising flour, cake flour, pastry flour, 00 flour, tipo 00 flour, spelt flour, rye flour, barley flour, atta, atta flour, maida, durum flour, graham flour, chapati flour, sauce flour, seasoned flour | gluten
pasta, dried pasta, spaghetti, penne, macaroni, fusilli, rigatoni, conchiglie, farfalle, orzo, linguine, tagliatelle dried, lasagne sheet, lasagne, lasagna, lasagna sheet, vermicelli, angel hair, bucatini, orecchiette, pappardelle dried, ditalini, cannelloni, wholemeal pasta, short pasta, soup pasta, risoni, kritharaki, udon, udon noodle, wheat noodle, somen, ramen, ramen noodle, soba, soba noodle, gnocchi di semola, reshteh | gluten
noodle, instant noodle, chow mein noodle, lo mein noodle, hokkien noodle | gluten, eggs
fresh pasta, egg pasta, egg noodle, tagliatelle, pappardelle, fettuccine, medium egg noodle, fine egg noodle, spatzle, spaetzle, wonton wrapper, gyoza wrapper, dumpling wrapper, dumpling skin, egg roll wrapper, matzo ball mix | gluten, eggs
ravioli, tortellini, tortelloni, filled pasta, cappelletti, agnolotti, pierogi, pelmeni, manti | gluten, eggs, milk, diet:with meat
gnocchi, potato gnocchi, potato dumpling, knodel | gluten, eggs
spring roll wrapper, filo, filo pastry, phyllo, phyllo pastry, yufka, brick pastry, feuille de brick, strudel pastry, warka | gluten
`;

/** Beans, peas and lentils, dry, tinned and made into curd. */
export const PULSES_FOOD = `
kidney bean, red kidney bean, dark red kidney bean, light red kidney bean, dried red kidney bean, red bean, dried red bean, small red bean, rajma, rajmah, rajma bean, white kidney bean, cannellini, cannellini bean, cannelini, cannelini bean, canellini bean, speckled kidney bean, chili bean, chilli bean, mexican bean | kidney
bean, dried bean, white bean, dried white bean, haricot, haricot bean, navy bean, great northern bean, pinto, pinto bean, black bean, black turtle bean, turtle bean, borlotti, borlotti bean, cranberry bean, flageolet, flageolet bean, coco bean, roman bean, pink bean, mixed bean, dried mixed bean, soldier bean, cattle bean, frijol, frijole, fagioli, fasolia, barlotti bean, canary bean, mayocoba bean, peruano bean, tarbais bean, soup bean, calypso bean, tolosana bean, runner bean dried, bayo bean, small white bean, firm bean, yellow bean, alubia | other
butter bean, butterbean, lima bean, madagascar bean, gigante, gigante bean, judion, judion bean, habas grande | other
chickpea, garbanzo, garbanzo bean, chick pea, chana, kala chana, black chickpea, brown chickpea, kabuli chana, desi chickpea, dried chickpea, gram, bengal gram
lentil, green lentil, brown lentil, red lentil, puy lentil, black lentil, beluga lentil, small green lentil, yellow lentil, french lentil, castelluccio lentil, pardina lentil, umbrian lentil, split lentil, split red lentil, masoor, masoor dal, masoor dhal, masur dal, whole masoor
split pea, yellow split pea, green split pea, dried pea, marrowfat pea, maple pea, whole dried pea, dal, dhal, daal, chana dal, moong dal, mung dal, moong, split moong, mung bean, moong bean, green gram, urad dal, urid dal, urad, black gram, toor dal, tur dal, toovar dal, arhar dal, pigeon pea, gungo pea, gandule, black eyed pea, black eyed bean, black eye bean, black eye pea, lobia, cowpea, cow pea, field pea, crowder pea, adzuki, adzuki bean, aduki bean, azuki bean, moth bean, mat bean, horse gram, hyacinth bean, val dal, bambara bean, pulse
broad bean, fava, fava bean, dried broad bean, dried fava bean, ful, ful medames, foul medames, split fava bean, foul
gram flour, chickpea flour, besan, garbanzo flour, lentil flour, pea flour, pea protein, panisse, lentil pasta, chickpea pasta
soybean, soya bean, soy bean, edamame, edamame bean, black soybean, dried soya bean, tofu, firm tofu, silken tofu, smoked tofu, fried tofu, tofu puff, bean curd, beancurd, dried bean curd, tofu skin, yuba, soya mince, soy mince, soya chunk, tvp, textured vegetable protein, textured soy protein, textured soya protein, soya protein, soy protein, soy milk, soya milk, soymilk, soy yogurt, soya yogurt, soy yoghurt, soya yoghurt, soy cream, soya cream, soy flour, soya flour, soybean sprout, okara, soy lecithin, lecithin | soy
tempeh, natto | soy, cooked
lupin, lupin bean, lupini, lupini bean, lupin flour, lupin seed, tremocos | lupin
peanut, groundnut, monkey nut, salted peanut, roasted peanut, peanut butter, peanut flour, ground peanut, groundnut paste, satay paste, peanut paste, beer nut | peanuts
`;

/** Tree nuts, peanuts and what is ground of them. */
export const NUTS = `
almond, flaked almond, ground almond, blanched almond, almond flour, almond meal, almond butter, almond milk, almond cream, almond yogurt, almond yoghurt, slivered almond, chopped almond, whole almond, marzipan, almond paste, frangipane, almond essence, almond extract, toasted almond, amaretti | tree nuts
hazelnut, filbert, cobnut, hazelnut butter, hazelnut milk, praline, gianduja, chopped hazelnut, roasted hazelnut | tree nuts
walnut, walnut half, walnut piece, walnut butter | tree nuts
cashew, cashew nut, cashew butter, cashew cream, cashew milk, cashew cheese, cashew yogurt, cashew yoghurt | tree nuts
pecan, pecan half, pecan nut, brazil nut, brazil, pistachio, pistachio nut, pistachio paste, slivered pistachio, macadamia, macadamia nut, queensland nut | tree nuts
nut, mixed nut, chopped nut, chopped mixed nut, nut butter, nut milk, nut meal, nut roast, nut flour | tree nuts, peanuts
chestnut, sweet chestnut, peeled chestnut, vacuum packed chestnut, cooked chestnut, chestnut puree, marron | tree nuts
pine nut, pine kernel, pignoli, shea nut, hickory nut, beech nut, ginkgo nut, gingko nut, candlenut, kemiri nut | tree nuts
tiger nut, tigernut, lotus seed, chufa
`;

/** Seeds and their pastes. */
export const SEEDS = `
sesame, sesame seed, white sesame, black sesame, toasted sesame seed, tahini, tahina, sesame paste, halva, halwa sesame, gomashio, gomasio, zaatar, za atar, furikake, everything bagel seasoning, til | sesame
dukkah, dukka | sesame, tree nuts
sunflower seed, pumpkin seed, pepita, melon seed, egusi, egusi seed, linseed, flaxseed, flax seed, ground flaxseed, chia, chia seed, hemp seed, hemp heart, poppy seed, white poppy seed, nigella seed, nigella, kalonji, black onion seed, basil seed, watermelon seed, sunflower butter, seed, mixed seed, psyllium, psyllium husk
`;

/** Spices, salts and mixtures of them. */
export const SPICES = `
salt, fine salt, sea salt, flaky salt, flaked salt, coarse salt, rock salt, table salt, kosher salt, black salt, kala namak, smoked salt, pink salt, curing salt, msg, monosodium glutamate, nutritional yeast, yeast flake, salt flake, cooking salt
pepper, black pepper, white pepper, ground pepper, ground black pepper, cracked pepper, green peppercorn, pink peppercorn, lemon pepper, sichuan pepper, szechuan pepper, sichuan peppercorn, salt and pepper, long pepper, grain of paradise, cubeb
peppercorn, black peppercorn, whole pepper, whole peppercorn, white peppercorn, whole black pepper, pepper berry | spice
bay, bay leaf, laurel leaf, laurel, tej patta, indian bay leaf, curry bay | spice
cinnamon stick, cinnamon, cassia, cassia bark, cinnamon bark, cinnamon quill, dalchini, cinnamon piece | spice
cardamom, cardamom pod, green cardamom, black cardamom, elaichi, cardamon, cardamon pod, green cardamom pod, black cardamom pod | spice
clove, whole clove, laung, clove stud | spice
star anise, anise star, badian | spice
lime leaf, kaffir lime leaf, makrut lime leaf, makrut leaf, lemon leaf, pandan, pandan leaf, curry leaf, screwpine leaf, kaffir leaf | spice
juniper, juniper berry, allspice berry, pimento berry, whole allspice, blade mace, mace blade, blade of mace, vanilla pod, vanilla bean, lemongrass stalk, lemongrass, lemon grass, bouquet garni, muslin of spice, spice bag, whole spice, tea bag, dried orange peel, dried tangerine peel, cinnamon leaf, avocado leaf, whole turmeric finger, rosemary stalk, annatto pod, stone flower, dagad phool, indian cassia leaf | spice
ground cinnamon, cinnamon powder, ground cardamom, cardamom powder, cardamom seed, ground clove, clove powder, ground star anise, ground bay, ground allspice, allspice, ground juniper, ground mace, mace, nutmeg, ground nutmeg, grated nutmeg, vanilla, vanilla extract, vanilla essence, vanilla paste, vanilla sugar, ground lemongrass, crushed juniper berry, anise, aniseed, anise seed, star anise powder
cumin, ground cumin, cumin seed, jeera, black cumin, shah jeera, coriander, coriander seed, ground coriander, fresh coriander, coriander leaf, coriander root, coriander stalk, cilantro, culantro, dhania, turmeric, ground turmeric, haldi, paprika, smoked paprika, sweet paprika, hot paprika, pimenton, cayenne, cayenne pepper, chilli powder, chili powder, chile powder, ground ginger, ginger powder, fenugreek, fenugreek seed, methi seed, kasuri methi, dried fenugreek, asafoetida powder, ajwain, carom seed, caraway, caraway seed, fennel seed, ground fennel, fennel pollen, dill seed, sumac, saffron, annatto, achiote, amchoor, garam masala, ras el hanout, baharat, five spice, chinese five spice, panch phoron, mixed spice, pumpkin spice, quatre epice, advieh, berbere, spice, ground spice, spice mix powder, sambar powder, rasam powder, tandoori masala, chaat masala, chana masala powder, biryani spice, kebab spice, mahleb, mastic, onion powder, onion granule, dried onion, liquorice root, citric acid, cream of tartar, bicarbonate of soda, baking soda, bicarbonate, pectin, cinchona, barberry powder, pimento
asafoetida, hing | gluten
curry powder, madras powder, mild curry powder, curry spice, spice rub, cajun seasoning, cajun spice, jerk seasoning, fajita seasoning, taco seasoning, all purpose seasoning, barbecue rub, steak seasoning, piri piri seasoning, adobo seasoning, seasoning | mustard, celery, gluten
parsley, flat leaf parsley, curly parsley, mint, peppermint, spearmint, dill, basil, thai basil, holy basil, thyme, lemon thyme, rosemary, sage, oregano, mexican oregano, marjoram, savory, winter savory, tarragon, chervil, sweet cicely, hyssop, lemon balm, lemon verbena, lovage, shiso, perilla, epazote, rau ram, vietnamese coriander, sawtooth herb, borage, herb, mixed herb, fine herb, fines herbes, herbes de provence, herb de provence, italian seasoning, italian herb, soft herb, woody herb, fresh herb, dried herb, bouquet of herb, salad burnet, angelica, woodruff, chrysanthemum leaf, garden herb, chopped herb
mustard seed, mustard powder, mustard oil, mustard leaf, mustard green, black mustard seed, brown mustard seed | mustard
mustard, grain mustard, wholegrain mustard, dijon mustard, dijon, english mustard, yellow mustard, american mustard, honey mustard, german mustard, creole mustard | mustard, sulphites
wasabi, wasabi paste, wasabi powder | mustard
baking powder, raising agent | gluten
yeast, dried yeast, fresh yeast, instant yeast, fast action yeast, active dry yeast, sourdough starter yeast, brewer yeast
sourdough starter, levain, starter | gluten
gelatine, gelatin, gelatine leaf, leaf gelatine, gelatine sheet, aspic, isinglass | diet:with meat
food colouring, food coloring, xanthan gum, guar gum, rose water, rosewater, orange blossom water, orange flower water, kewra water, liquid smoke, charcoal, activated charcoal
`;
