/*
 * Lines as people type and paste them, and what they have to be read as. A question mark: it must be asked about and never taken.
 * After the kind: the material, the weight, share or rate, or the proportion. Written by hand, not copied from the reader.
 */
export const lines = `
500 g olive oil | fat olive 500 g
500g olive oil | fat olive 500 g
olive oil 500g | fat olive 500 g
olive 45% | fat olive 45 %
45 % olive | fat olive 45 %
olive oil: 45% | fat olive 45 %
Olive Oil (extra virgin) 45 % | fat olive 45 %
extra virgin olive oil 300 g | fat olive 300 g
organic cold pressed olive oil 300 g | fat olive 300 g
refined olive oil 30% | fat olive 30 %
olive oil, 300 g | fat olive 300 g
300 grams of olive oil | fat olive 300 g
1 lb olive oil | fat olive 453.592 g
16 oz olive oil | fat olive 453.592 g
2 lb 3 oz lard | fat lard 992.233 g
1 lb (454 g) lard | fat lard 454 g
0.5 kg lard | fat lard 500 g
1,5 kg tallow | fat tallow 1500 g
1.5 kg beef tallow | fat tallow 1500 g
1,200 g lard | fat lard 1200 g
1 200 g lard | fat lard 1200 g
½ lb tallow | fat tallow 226.796 g
1½ lb tallow | fat tallow 680.389 g
1 1/2 lb tallow | fat tallow 680.389 g
rendered beef tallow 400 g | fat tallow 400 g
home rendered lard 400 g | fat lard 400 g
leaf lard 200 g | fat lard 200 g
lard 80 g | fat lard 80 g
pork fat 80 g | fat lard 80 g
coconut oil 250 g | fat coconut 250 g
coconut 25% | fat coconut 25 %
virgin coconut oil 25% | fat coconut 25 %
coconut oil 76 degree 25% | fat coconut 25 %
76 degree coconut oil 200 g | fat coconut 200 g
coconut 76 30% | fat coconut 30 %
coconut oil, melts at 24 °C, 200 g | fat coconut 200 g
fractionated coconut oil 5% | fat coconut-fractionated 5 %
mct oil 5% | fat coconut-fractionated 5 %
shea butter 12% | fat shea 12 %
shea 12% | fat shea 12 %
raw shea butter 12% | fat shea 12 %
karité 12% | fat shea 12 %
castor 5% | fat castor 5 %
castor oil 5 percent | fat castor 5 %
castor oil 7.5 per cent | fat castor 7.5 %
5% castor oil | fat castor 5 %
palm oil 30% | fat palm 30 %
red palm oil 10% | fat palm 10 %
sustainable palm oil 30% | fat palm 30 %
palm kernel oil 15% | fat palm-kernel 15 %
babassu oil 20% | fat babassu 20 %
cocoa butter 10% | fat cocoa-butter 10 %
mango butter 5% | fat mango-butter 5 %
mango 5% | fat mango-butter 5 %
sunflower 20% | fat sunflower 20 %
sunflower oil 20% | fat sunflower 20 %
high oleic sunflower 20% | fat sunflower-high-oleic 20 %
high oleic sunflower oil 20% | fat sunflower-high-oleic 20 %
canola 20% | fat rapeseed 20 %
rapeseed oil 20% | fat rapeseed 20 %
rice bran oil 20% | fat rice-bran 20 %
ricebran 20% | fat rice-bran 20 %
sweet almond oil 10% | fat sweet-almond 10 %
almond oil 10% | fat sweet-almond 10 %
avocado oil 10% | fat avocado 10 %
avocado 10% | fat avocado 10 %
hemp seed oil 5% | fat hemp 5 %
linseed oil 5% | fat flax 5 %
grapeseed oil 5% | fat grapeseed 5 %
soybean oil 20% | fat soybean 20 %
soy wax 5% | fat soy-wax 5 %
jojoba oil 3% | fat jojoba 3 %
jojoba 3% | fat jojoba 3 %
beeswax 2% | fat beeswax 2 %
beeswax pellets 10 g | fat beeswax 10 g
yellow beeswax 10 g | fat beeswax 10 g
stearic acid 5% | fat stearic-acid 5 %
lanolin 2% | fat lanolin 2 %
neem oil 5% | fat neem 5 %
laurel berry oil 20% | fat laurel-berry 20 %
argan oil 3% | fat argan 3 %
tamanu oil 3% | fat tamanu 3 %
walnut oil 10% | fat walnut 10 %
trimyristin 5% | fat trimyristin 5 %
pressed nutmeg butter 5% | ? fat nutmeg-butter
rice bran wax 20 g | fat rice-bran-wax 20 g
duck fat 200 g | fat goose-fat 200 g
ghee 100 g | fat butterfat 100 g
calendula infused olive oil 200 g | fat olive 200 g
olive pomace oil 400 g | fat olive-pomace 400 g
apricot kernel oil 8% | fat apricot-kernel 8 %
pumpkin seed oil 5% | fat pumpkin-seed 5 %
watermelon seed oil 5% | fat watermelon-seed 5 %
peach kernel oil 5% | fat peach-kernel 5 %
raspberry seed oil 2% | fat raspberry-seed 2 %
1/2 cup olive oil | fat olive 118.294 ml
1 cup coconut oil | fat coconut 236.588 ml
2 tbsp castor oil | fat castor 29.574 ml
100 ml olive oil | fat olive 100 ml
1 l olive oil | fat olive 1000 ml
use 300 g olive oil | fat olive 300 g
about 300 g olive oil | fat olive 300 g
approx. 300 g olive oil | fat olive 300 g
~300 g olive oil | fat olive 300 g
water 190 g | water 190 g
190 g water | water 190 g
190g distilled water | water 190 g
distilled water 190 ml | water 190 ml
7 oz water | water 198.447 g
water 7 oz | water 198.447 g
1 cup water | water 236.588 ml
cold deionised water 200 g | water 200 g
rain water 200 g | water 200 g
tap water 200 g | water 200 g
water for lye 190 g | water 190 g
water (for the lye) 190 g | water 190 g
h2o 190 g | water 190 g
water 38% of oils | water shareOfOils 0.38
water 38% | water shareOfOils 0.38
water 30 % of the oils | water shareOfOils 0.3
water as 33% of oils | water shareOfOils 0.33
water 2:1 | ratio ratio 2
water 2.2:1 | ratio ratio 2.2
2:1 water | ratio ratio 2
water to lye 2:1 | ratio ratio 2
water:lye 2:1 | ratio ratio 2
water : lye ratio 2.5 : 1 | ratio ratio 2.5
ratio 2:1 | ratio ratio 2
2 to 1 water to lye | ratio ratio 2
lye 1:2 | ratio ratio 2
lye to water 1:2 | ratio ratio 2
lye 30/70 | ratio strength 0.3
lye 33/67 | ratio strength 0.33
33% lye | ratio strength 0.33
lye 33% | ratio strength 0.33
lye strength 33% | ratio strength 0.33
33% lye concentration | ratio strength 0.33
lye concentration 30 % | ratio strength 0.3
concentration 33% | ratio strength 0.33
superfat 5% | superfat 5 %
5% superfat | superfat 5 %
superfat 5 | superfat 5 %
superfat at 8% | superfat 8 %
super fat 6% | superfat 6 %
superfatted at 7% | superfat 7 %
SF 5% | superfat 5 %
sf: 6 | superfat 6 %
lye discount 5% | superfat 5 %
5 % lye discount | superfat 5 %
0% superfat | superfat 0 %
caustic soda 65 g | naoh 65 g
65 g caustic soda | naoh 65 g
sodium hydroxide 65 g | naoh 65 g
65g NaOH | naoh 65 g
NaOH 65 g | naoh 65 g
naoh: 65g | naoh 65 g
65 g sodium hydroxide (lye) | naoh 65 g
lye 65 g | lye 65 g
65 g lye | lye 65 g
65 g of lye crystals | lye 65 g
lye flakes 65 g | lye 65 g
2.3 oz lye | lye 65.204 g
lye 2.3 oz | lye 65.204 g
KOH 65 g | koh 65 g
potassium hydroxide 65 g | koh 65 g
caustic potash 65 g | koh 65 g
potash lye 65 g | koh 65 g
NaOH 98% 65 g | naoh 65 g pure 0.98
98% sodium hydroxide 65 g | naoh 65 g pure 0.98
Natriumhydroxid 65 g | naoh 65 g
natronlauge 30% 200 g | naoh 200 g of 0.3
50 % lye 130 g | lye 130 g of 0.5
130 g 50% lye | lye 130 g of 0.5
284 g lye solution 50 % | lye 284 g of 0.5
lye solution 33% 300 g | lye 300 g of 0.33
lye solution 50/50 300 g | lye 300 g of 0.5
300 g 50 % NaOH solution | naoh 300 g of 0.5
masterbatch lye 50% 260 g | lye 260 g of 0.5
ice 40% | ice 40 %
ice 60 g | ice 60 g
60 g ice cubes | ice 60 g
crushed ice 2 oz | ice 56.699 g
goat milk 8 oz | liquid goat-milk 226.796 g
goat milk 100 g | liquid goat-milk 100 g
goat's milk 100 g | liquid goat-milk 100 g
goats milk 100g | liquid goat-milk 100 g
frozen goat milk 100 g | liquid goat-milk 100 g
whole milk 100 g | liquid cow-milk 100 g
milk 100 g | liquid cow-milk 100 g
buttermilk 50% | liquid buttermilk 50 %
coconut milk 100 g | liquid coconut-milk 100 g
coconut water 100 g | liquid coconut-water 100 g
aloe vera juice 50% | liquid aloe-juice 50 %
aloe juice 100 ml | liquid aloe-juice 100 ml
flat beer 200 g | liquid beer 200 g
beer 200 g | liquid beer 200 g
rose water 100 g | liquid rose-hydrosol 100 g
rosewater 100 g | liquid rose-hydrosol 100 g
lavender hydrosol 100 g | liquid lavender-hydrosol 100 g
witch hazel 50 g | liquid hydrosol 50 g
salt water 100 g | liquid brine 100 g
brine 100 g | liquid brine 100 g
sea water 100 g | liquid brine 100 g
kefir 50 g | liquid kefir 50 g
yogurt 50 g | liquid yoghurt 50 g
greek yoghurt 50 g | liquid yoghurt 50 g
breast milk 60 g | liquid human-milk 60 g
100 g vinegar | liquid vinegar-5 100 g
apple cider vinegar 60 ml | liquid vinegar-5 60 ml
white vinegar 60 g | liquid vinegar-5 60 g
vinegar 5% 100 g | liquid vinegar-5 100 g
vinegar 10% 100 g | liquid vinegar-10 100 g
vinegar essence 25% 30 g | liquid vinegar-25 30 g
lemon juice 30 ml | liquid lemon-juice 30 ml
juice of lemon 30 g | liquid lemon-juice 30 g
lime juice 30 g | liquid lime-juice 30 g
red wine 100 g | liquid wine 100 g
kombucha 100 g | liquid kombucha 100 g
green tea 100 g | liquid green-tea 100 g
chamomile tea 100 g | liquid chamomile-tea 100 g
brewed coffee 200 g | liquid coffee 200 g
carrot puree 50 g | liquid carrot-puree 50 g
cucumber juice 50 g | liquid cucumber-puree 50 g
citric acid 1.5% | additive citric-acid-monohydrate 1.5 %
10 g citric acid | additive citric-acid-monohydrate 10 g
citric acid anhydrous 10 g | additive citric-acid-anhydrous 10 g
citric acid monohydrate 10 g | additive citric-acid-monohydrate 10 g
sodium lactate 2% | additive sodium-lactate 2 %
sodium lactate 1 tsp ppo | additive sodium-lactate 1 tsp/lb
lactic acid 1% | additive lactic-acid 1 %
tartaric acid 5 g | additive tartaric-acid 5 g
sodium citrate 1% | additive sodium-citrate 1 %
salt 1 tbsp | additive salt 14.787 ml
sea salt 10 g | additive salt 10 g
fine sea salt 1 tsp | additive salt 4.929 ml
sugar 1 tbsp | additive sugar 14.787 ml
brown sugar 10 g | additive sugar 10 g
40 g honey | additive honey 40 g
1 tbsp runny honey | additive honey 14.787 ml
rose clay 1 tsp per 500 g | additive rose-clay 1 tsp/500g
rose clay 1 tsp per lb | additive rose-clay 1 tsp/lb
rose clay 1 tsp ppo | additive rose-clay 1 tsp/lb
rose clay 1 tsp/lb oils | additive rose-clay 1 tsp/lb
rose clay 1 tsp per pound of oils | additive rose-clay 1 tsp/lb
1 tsp rose clay per kg of oils | additive rose-clay 1 tsp/kg
rose clay 2 tsp per kilo | additive rose-clay 2 tsp/kg
rose clay 5 g per 500 g oils | additive rose-clay 5 g/500g
rose clay 10 g/kg | additive rose-clay 10 g/kg
rose clay 1 g per 100 g | additive rose-clay 1 g/100g
rose clay 1 tsp for each 500 g | additive rose-clay 1 tsp/500g
rose clay 0.2 oz per lb | additive rose-clay 0.2 oz/lb
pink clay 1 tsp | additive rose-clay 4.929 ml
kaolin clay 2 tsp | additive kaolin 9.858 ml
white clay 10 g | additive kaolin 10 g
french green clay 1 tsp | additive green-clay 4.929 ml
activated charcoal 1 tsp | additive activated-charcoal 4.929 ml
titanium dioxide 1 tsp | additive titanium-dioxide 4.929 ml
zinc oxide 5 g | additive zinc-oxide 5 g
½ tsp turmeric | additive turmeric 2.464 ml
turmeric powder 1/2 tsp | additive turmeric 2.464 ml
spirulina 3 g | additive spirulina 3 g
gold mica 1 tsp | additive mica-gold 4.929 ml
red iron oxide 1 tsp | additive iron-oxide-red 4.929 ml
ultramarine blue 1 tsp | additive ultramarine 4.929 ml
teal mica 1 tsp | additive own-teal-mica 4.929 ml
purple oxide 2 g | additive own-purple-oxide 2 g
neon pink pigment 1 tsp | additive own-neon-pink-pigment 4.929 ml
colloidal oatmeal 10 g | additive colloidal-oatmeal 10 g
ground oats 1 tbsp | additive rolled-oats 14.787 ml
poppy seeds 1 tbsp | additive poppy-seed 14.787 ml
pumice powder 5 g | additive pumice 5 g
coffee grounds 1 tbsp | additive coffee-grounds 14.787 ml
vitamin e 5 g | additive vitamin-e 5 g
rosemary extract 1 g | additive rosemary-extract 1 g
glycerin 10 g | additive glycerin 10 g
silk 0.5 g | additive silk 0.5 g
squalane 10 g | additive squalane 10 g
sunflower lecithin 5 g | additive lecithin 5 g
goat milk powder 20 g | additive goat-milk-powder 20 g
powdered goat milk 20 g | additive goat-milk-powder 20 g
whole milk powder 20 g | additive cow-milk-powder 20 g
skimmed milk powder 20 g | additive skim-milk-powder 20 g
buttermilk powder 20 g | additive buttermilk-powder 20 g
coconut milk powder 20 g | additive coconut-milk-powder 20 g
lavender essential oil 20 g | scent lavender-essential-oil 20 g
lavender eo 3% | scent lavender-essential-oil 3 %
tea tree eo 3% | scent tea-tree-essential-oil 3 %
20 g fragrance oil | scent 20 g
lavender essential oil 0.7 oz per lb | scent lavender-essential-oil 0.7 oz/lb
fo 30 g | scent 30 g
peppermint essential oil 2% | scent peppermint-essential-oil 2 %
fir & smoke 3% | scent fir-and-smoke 3 %
fir and smoke 3.2% | scent fir-and-smoke 3.2 %
cream soda fragrance 20 g | scent cream-soda-fragrance 20 g
olive blossom fragrance oil 20 g | scent olive-blossom-fragrance-oil 20 g
800 grams | size 800 g
1 kg | size 1000 g
olive squalane 50 g | ? fat olive
walnut hull powder 5 g | ?
walnut shell 5 g | ?
coffee butter 30 g | ?
tea tree oil 10 g | ?
milk powder 20 g | ?
nutmeg butter 5% | ?
coffee 200 g | ?
pumpkin 50 g | ?
raspberry 20 g | ?
carrot 20 g | ?
baking soda 20 g | ? unknown
20 g baking soda | ? unknown
bicarbonate of soda 20 g | ? unknown
sodium bicarbonate 20 g | ? unknown
bicarb 65 g | ? unknown
washing soda 65 g | ? unknown
soda ash 65 g | ? unknown
soda crystals 65 g | ? unknown
sodium carbonate 65 g | ? unknown
borax 20 g | ? unknown
drain cleaner 65 g | ? unknown
drain opener 65 g | ? unknown
drain unblocker 65 g | ? unknown
potassium carbonate 30 g | ? unknown
wood ash 100 g | ? unknown
calcium hydroxide 30 g | ? unknown
soda 65 g | ? lye
potash 65 g | ? lye
300 g lye solution | ? lye
lye water 380 g | ? lye
a cup of lye | ? lye
lye solution 50% 206 | ? lye
lye 98% pure 65 | ? lye
2 tbsp lye | ? lye
lye 1 tsp per lb | ? lye
lye 65 | ? lye
lye | ? lye
lye 5% | ? lye
lye 70% 100 g | ? lye
lye fragrance 65 g | ? lye
sodium hydroxide essential oil 10 g | ? naoh
caustic soda butter 65 g | ? naoh
naoh milk 65 g | ? naoh
sodium hydroxid 65 g | naoh 65 g
sodium hydoxide 65 g | naoh 65 g
sodium hydroxyde 65 g | naoh 65 g
sodum hydroxide 65 g | ? lye
potasium hydroxide 65 g | ? lye
NOAH 65 g | naoh 65 g
causic soda 65 g | naoh 65 g
lye 20-25 g | ? lye
superfat | ? superfat
superfat 500 g | ? superfat
superfat with shea 5% | ? superfat
water discount 10% | ? unknown
water | ? water
water 190 | ? water
water 3% | ? water
a few drops of water | ? water
liquid 190 g | ?
liquid soap 190 g | ?
oil 500 g | ?
butter 100 g | ?
wax 20 g | ?
acid 10 g | ?
seed oil 50 g | ?
vegetable oil 500 g | ?
cooking oil 500 g | ?
margarine 200 g | ?
dog fat 100 g | ?
soap base 500 g | ?
coconut 30 | ? fat coconut
olive oil 700 | ? fat olive
castor 5 | ? fat castor
honey 20 | ? additive honey
goat milk 100 | ? liquid goat-milk
few drops of lavender oil | ?
a few drops lavender eo | ? scent
some honey | ? additive honey
a pinch of salt | ? additive salt
20-25 g honey | ? additive honey
20 to 25 g honey | ? additive honey
1.200 g olive oil | ? fat olive
500 g olive oil 300 g | ? fat olive
1 lb (500 g) lard | ? fat lard
-20 g olive oil | ? fat olive
Sodium Hydroxide - 4.8 oz / 136g | naoh 136 g
olive oil 50% (500g) | fat olive 500 g
Ätznatron 65 g | naoh 65 g
Natron 20 g | ? unknown
vegetable glycerine 20 g | additive glycerin 20 g
aloe water 100 g | ?
lye 65.5g water 190g | ? lye
Olivenöl 500 g | ?
ollive oil 300 g | ? fat olive
olvie oil 300 g | ? fat olive
cocnut oil 200 g | ? fat coconut
coconutt oil 200 g | ? fat coconut
caster oil 50 g | ? fat castor
shae butter 100 g | ? fat shea
sheabutter 100 g | ?
avacado oil 50 g | ? fat avocado
tallo 100 g | ? fat tallow
coconut flour 20 g | ?
coconut sugar 20 g | ?
coconut vinegar 20 g | ?
coconut cream 50 g | ?
coconut wax 50 g | ?
coconut shell charcoal 5 g | ?
coconut 92 30% | ?
olive leaf powder 5 g | ?
olive stone granules 5 g | ?
olive butter 50 g | ?
olive wax 20 g | ?
olive extract 5 g | ?
olive soap 100 g | ?
sunflower wax 10 g | ?
sunflower seeds 20 g | ?
sunflower butter 50 g | ?
soy lecithin granules 5 g | additive lecithin 5 g
soy protein 10 g | ?
rice flour 10 g | ?
rice water 100 g | ?
rice milk 100 g | ?
rice bran 20 g | fat rice-bran 20 g
rice bran extract 5 g | ?
palm kernel flakes 100 g | ?
palm wax 50 g | ?
palm sugar 20 g | ?
palm butter 50 g | ?
hydrogenated palm oil 100 g | ?
hydrogenated castor oil 10 g | ?
sulfated castor oil 20 g | ?
castor wax 10 g | ?
castor sugar 10 g | additive sugar 10 g
almond milk 100 g | liquid almond-milk 100 g
almond butter 50 g | ?
almond meal 20 g | ?
almond extract 5 g | ?
avocado butter 50 g | fat avocado-butter 50 g
avocado puree 50 g | ?
hemp protein 10 g | ?
hemp butter 50 g | ?
shea nut shell 10 g | ?
shea oil 50 g | fat shea-olein 50 g
cocoa powder 5 g | additive cocoa-powder 5 g
cocoa 10 g | ?
cocoa butter wafers 100 g | ?
oat milk 100 g | liquid oat-milk 100 g
oat flour 10 g | additive colloidal-oatmeal 10 g
oat extract 10 g | ?
aloe vera gel 20 g | ?
aloe powder 2 g | ?
aloe butter 20 g | ?
honey powder 5 g | ?
honey fragrance 20 g | scent honey-fragrance 20 g
milk chocolate 20 g | ?
milk thistle 10 g | ?
goat cheese 20 g | ?
goat milk soap 100 g | ?
goat tallow 100 g | ?
silk protein 5 g | ?
sea moss gel 20 g | ?
sea clay 5 g | ?
salt lye 20 g | ? lye
egg white 20 g | ?
beer yeast 10 g | ?
wine lees 20 g | ?
tea leaves 10 g | ?
green tea extract 5 g | ?
coffee oil 10 g | ?
coffee extract 5 g | ?
lemon 20 g | ?
lemon oil 10 g | ?
lemon zest 5 g | ?
lemon myrtle 5 g | ?
orange oil 10 g | ?
orange peel powder 5 g | ?
lavender oil 10 g | ?
lavender 10 g | ?
lavender buds 5 g | additive lavender-buds 5 g
rosemary 5 g | ?
rosemary oil 5 g | ?
peppermint oil 10 g | ?
mint 10 g | ?
cinnamon 5 g | ?
cinnamon oil 5 g | ?
vanilla 10 g | ?
vanilla extract 5 g | ?
patchouli 10 g | ?
ylang ylang 10 g | ?
pine tar soap 50 g | ?
rose hip powder 5 g | ?
rose petals 5 g | additive rose-petals 5 g
rose oil 5 g | ?
blue 5 g | ?
blue colour 5 g | additive own-blue-colour 5 g
food colouring 5 g | ?
glitter 5 g | additive own-glitter 5 g
vitamin c 5 g | additive ascorbic-acid 5 g
acetic acid 20 g | ?
vinegar 20% 50 g | ? liquid
vinegar 10% | ? liquid
vinegar essence 50 g | ? liquid vinegar-25
stearic 50 g | ?
oleic acid 20 g | fat oleic-acid 20 g
lauric acid 20 g | fat lauric-acid 20 g
myristic acid 20 g | fat myristic-acid 20 g
unicorn dust 3 g | ? unknown
love and patience | ? unknown
45% | ?
`
  .trim()
  .split('\n')
  .map((line) => {
    const [text, expected] = line.split(' | ') as [string, string]
    return { text, expected }
  })
