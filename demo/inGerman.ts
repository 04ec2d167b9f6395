import { named, own } from '../core/base/named.ts';

const table = (text: string): Readonly<Record<string, string>> =>
  named(
    text
      .trim()
      .split('\n')
      .map((line) => line.split('|') as [string, string]),
  );

const shades = table(`
Cadmium Red|Kadmiumrot
Alizarin Crimson|Alizarin Krapprot
Vermilion|Zinnoberrot
Quinacridone Rose|Chinacridon Rosa
Opera Rose|Opernrosa
Shell Pink|Muschelrosa
Cadmium Orange|Kadmiumorange
Marigold|Ringelblume
Lemon Yellow|Zitronengelb
Cadmium Yellow|Kadmiumgelb
Naples Yellow|Neapelgelb
Yellow Ochre|Lichter Ocker
Sap Green|Saftgrün
Viridian|Chromoxidgrün feurig
Phthalo Green|Phthalogrün
Olive Green|Olivgrün
Mint|Minze
Cobalt Teal|Kobalttürkis
Turquoise|Türkis
Cerulean Blue|Coelinblau
Cobalt Blue|Kobaltblau
Ultramarine|Ultramarin
French Ultramarine|Ultramarin feinst
Prussian Blue|Preußischblau
Phthalo Blue|Phthaloblau
Indigo|Indigo
Dioxazine Violet|Dioxazinviolett
Ultramarine Violet|Ultramarinviolett
Lilac|Flieder
Burnt Sienna|Siena gebrannt
Raw Sienna|Siena natur
Burnt Umber|Umbra gebrannt
Raw Umber|Umbra natur
Sepia|Sepia
Payne's Grey|Paynesgrau
Warm Grey|Warmgrau
Cool Grey|Kaltgrau
Silver|Silber
Ivory Black|Elfenbeinschwarz
Lamp Black|Lampenschwarz
Titanium White|Titanweiß
Zinc White|Zinkweiß
Antique Gold|Altgold`);

const nouns = table(`
watercolour|Aquarellfarbe
watercolour half pan|Aquarellnäpfchen
gouache|Gouache
acrylic paint|Acrylfarbe
oil paint|Ölfarbe
drawing ink|Zeichentusche
fabric paint|Stoffmalfarbe
block printing ink|Linoldruckfarbe
coloured pencil|Farbstift
brush marker|Pinselmarker
soft pastel|Softpastell
fineliner pen|Fineliner
graphite pencil|Bleistift
charcoal|Zeichenkohle
watercolour paper|Aquarellpapier
paper pad|Papierblock
sketchbook|Skizzenbuch
canvas|Leinwand
easel|Staffelei
palette knife|Malmesser
palette|Palette
lino block|Linolplatte
ink roller|Farbwalze
paint set|Farbset
picture varnish|Firnis
painting medium|Malmittel
eraser|Radiergummi
lamp|Lampe`);

/** Words that products of a range differ by, as they follow the noun. */
const words = table(`
Student|für Studierende
Artist|Künstlerqualität
Watersoluble|wasservermalbar
Travel|für unterwegs
Folding|klappbar
Pocket|im Taschenformat
Hard|hart
Drawing|zum Zeichnen
Sketching|zum Skizzieren
Waterproof|wasserfest
Gloss|glänzend
Matt|matt
Satin|seidenmatt
Wooden|aus Holz
Porcelain|aus Porzellan
Glass|aus Glas
Landscape|Querformat
Kneaded|knetbar
Straight|gerade
Wide|breit
Linen|Leinen`);

/** Brushes are named by their shape in one word. */
const brushes = table(`
Round|Rundpinsel
Flat|Flachpinsel
Filbert|Katzenzungenpinsel
Fan|Fächerpinsel
Angled|Schrägpinsel
Varnish|Lackierpinsel
Mop|Verwaschpinsel
Long flat|Flachpinsel lang`);

const colours = table(`
Red|Rot
Pink|Rosa
Orange|Orange
Yellow|Gelb
Green|Grün
Turquoise|Türkis
Blue|Blau
Violet|Violett
Brown|Braun
Grey|Grau
Black|Schwarz
White|Weiß
Gold|Gold`);

const descriptions = table(`
watercolour|Fein angeriebene Pigmente, die sich auf Büttenpapier gut verlaufen und wieder lösen lassen.
watercolour half pan|Löst sich sofort mit dem nassen Pinsel, für den Malkasten und den Schreibtisch.
gouache|Deckende, matte Farbe, die mit einem Auftrag deckt.
acrylic paint|Pastose Farbe, die den Strich des Messers behält und in einer Stunde trocknet.
oil paint|In kaltgepresstem Leinöl angerieben, mit einem sanften Glanz nach dem Trocknen.
drawing ink|Wasserfest nach dem Trocknen, für die Feder und den Pinsel.`);

/** A product as far as its German texts are made of it. */
export interface ToTranslate {
  readonly noun: string;
  readonly word: string;
  readonly shade: string | null;
  readonly colour: string | null;
}

/**
 * The German texts of a product, as several hands typed them over the years: some are missing, some shout, some write
 * `ss` for `ß`. Products of which nobody knew the word have none.
 */
export function inGerman(
  { noun, word, shade, colour }: ToTranslate,
  random: () => number,
): { readonly title: string; readonly description: string; readonly colour: string } {
  const hand = random();
  const [nounInGerman, tail] = [own(nouns, noun), own(shade === null ? words : shades, shade ?? word)];
  const whole = noun === 'brush' ? own(brushes, word) : nounInGerman && tail && `${nounInGerman} ${tail}`;
  const written = hand > 0.97 ? whole?.toUpperCase() : hand > 0.93 ? whole?.replaceAll('ß', 'ss') : whole;
  const colourHand = random();
  const known = (colour && own(colours, colour)) || '';
  return {
    title: hand < 0.08 ? '' : (written ?? ''),
    description: random() < 0.3 ? '' : (own(descriptions, noun) ?? ''),
    colour: colourHand < 0.12 ? '' : colourHand < 0.18 ? known.toLowerCase() : known,
  };
}

/** A price in euro beside one in pounds, as it is set by hand: to 95 or 50 cents, and now and then not set yet. */
export function euros(pounds: number, random: () => number): string {
  if (random() < 0.02) return '';
  const amount = Math.floor(pounds * 1.19);
  return (amount + (random() < 0.7 ? 0.95 : 0.5)).toFixed(2);
}
