import { fold } from '../text/fold.ts';

/** What a column of a file can be for the shop; each but `option` has an attribute of the same key. */
export const roles = [
  'id',
  'family',
  'sku',
  'title',
  'description',
  'brand',
  'category',
  'tags',
  'price',
  'former_price',
  'cost',
  'stock',
  'rating',
  'ratings',
  'units_sold',
  'date_added',
  'picture',
  'link',
  'option',
  'boost',
  'hidden',
  'parts',
] as const;
export type Role = (typeof roles)[number];

/** Roles that several columns may share: levels of a category, more tags, several options, more parts. */
export const sharedRoles: ReadonlySet<Role> = new Set(['option', 'tags', 'category', 'parts']);

/** What merchandisers' exports call each role, in the languages most of them come in; compared as `nameKey`. */
const names: Readonly<Record<Role, string>> = {
  id: 'id, product id, item id, record id, variant id, article id, identifier, uid, artikel id, produkt id, artikelnummer id, identifiant, identificador, codigo id, entity id, handle id, row id',
  family:
    'vater artikelnr, vaterart, hauptartikel, code parent, ref parent, articulo padre, codice padre, family, family id, product family, parent, parent id, parent sku, parent product, group, group id, item group id, product group id, style, style id, style code, model, model id, master, master id, vaterartikel, stammartikel, gruppe, eltern id, parent artikel, modele, groupe, familia, modelo, product group',
  sku: 'art no, artikelnummer hersteller, herst nr, best nr, ref art, reference article, code article, ref produit, cod art, cod articulo, codigo articulo, ref articulo, codice articolo, cod articolo, art nummer, artikelcode, sku, part number, part no, item number, item no, article number, article no, product code, item code, code, mpn, stock code, catalogue number, catalog number, artikelnummer, artikelnr, art nr, artnr, bestellnummer, bestell nr, reference, ref, referencia, codigo, codice, artikelcode, varenummer, variant sku',
  title:
    'bez, artbez, art bez, artikelbez, benennung, kurzbezeichnung, kurztext, produktbezeichnung, desig, designation article, libelle article, lib, titre produit, denominacion, nombre articulo, denominazione, nome prodotto, omschrijving kort, art omschrijving, title, name, product name, product title, item name, label, designation, headline, produktname, artikelname, bezeichnung, artikelbezeichnung, produkttitel, titel, titre, nom, nom du produit, libelle, intitule, titulo, nombre, nombre del producto, nome, naam, productnaam, navn',
  description:
    'beschr, artikelbeschr, langbez, long text, descr, desc, description longue, descriptif produit, descripcion larga, descripcion corta, descrizione estesa, descrizione breve, omschr, lange omschrijving, description, body, body html, long description, product description, details, text, content, copy, short description, beschreibung, artikelbeschreibung, langtext, langbeschreibung, produktbeschreibung, descriptif, texte, descripcion, descrizione, omschrijving, beskrivelse',
  brand:
    'herst, hersteller name, fabrikat, marq, fab, nombre marca, produttore, fabrikant, merknaam, brand, brand name, manufacturer, maker, vendor, label name, marke, hersteller, markenname, marque, fabricant, fabriquant, marca, fabricante, merk, marchio',
  category:
    'wg, wgr, wg pfad, warengr, warengruppenpfad, kat, kategorie pfad, cat, categ, sous categorie, famille produit, fil d ariane, categoria ruta, familia producto, reparto, categoria prodotto, rubriek, categoriepad, category, categories, category path, product category, product type, type path, department, breadcrumb, section, taxonomy, kategorie, kategorien, warengruppe, kategoriepfad, sortiment, categorie, rayon, categoria, categorias, seccion, afdeling, main category, sub category, subcategory, category 1, category 2, category 3, level 1, level 2, level 3',
  tags: 'tags, tag, keywords, labels, keyword, merkmale tags, schlagworte, schlagwoerter, stichworte, schlagwort, mots cles, motcle, etiquettes, etiquetas, palabras clave, parole chiave, trefwoorden',
  price:
    'vk brutto, vk netto, vk preis, brutto vk, ladenpreis, pv, pv ttc, pu, pu ttc, tarif, precio iva incl, precio con iva, prezzo ivato, prezzo di vendita, listino, prijs incl, prijs incl btw, price, sale price, current price, selling price, unit price, retail price, price gbp, price eur, price usd, net price, gross price, amount, preis, verkaufspreis, vk, bruttopreis, endpreis, preis eur, prix, prix ttc, prix de vente, precio, precio venta, pvp, prezzo, prijs, verkoopprijs, variant price, offers price',
  former_price:
    'former price, old price, was price, list price, rrp, msrp, regular price, original price, compare price, recommended price, price before, streichpreis, uvp, alter preis, listenpreis, prix barre, ancien prix, prix public, precio anterior, precio original, prezzo precedente, adviesprijs, van prijs',
  cost: 'ek netto, einstandspreis, pa ht, prix d achat ht, precio coste, precio compra, prezzo di acquisto, cost, cost price, purchase price, buying price, wholesale price, einkaufspreis, ek, ek preis, prix d achat, cout, coste, precio de compra, costo, inkoopprijs',
  stock:
    'lieferbar, verfuegbar ja nein, is in stock, disponible, dispo, disponibile, leverbaar, op voorraad, lagerbest, best, verf bestand, qte, qte stock, stock dispo, cant, exist, giac, qta, voorr, voorraad aantal, stock, quantity, qty, inventory, stock level, stock quantity, on hand, available quantity, units in stock, in stock, availability, instock, bestand, lagerbestand, lager, verfuegbar, menge, verfuegbarkeit, quantite, disponibilite, en stock, existencias, cantidad, disponibilidad, giacenza, voorraad, aantal, offers availability',
  rating:
    'rating, average rating, stars, review score, score, review rating, bewertung, sterne, durchschnittsbewertung, note, note moyenne, valoracion, puntuacion, voto, beoordeling, aggregate rating rating value',
  ratings:
    'ratings, review count, reviews, number of reviews, rating count, number of ratings, anzahl bewertungen, bewertungen, nombre d avis, avis, numero de valoraciones, resenas, recensioni, aantal beoordelingen, aggregate rating review count',
  units_sold:
    'units sold, sold, sales, sales 90 days, orders, times sold, sold units, quantity sold, absatz, verkauft, verkaufte menge, verkaeufe, ventes, vendus, quantite vendue, ventas, vendidos, unidades vendidas, vendite, verkocht',
  date_added:
    'date added, created, created at, date created, added, launch date, release date, published, published at, available from, first seen, erstellt, erstellt am, anlagedatum, angelegt am, erscheinungsdatum, date de creation, date d ajout, ajoute le, fecha de alta, fecha de creacion, fecha, data inserimento, datum, aanmaakdatum',
  picture:
    'bilddatei, bild 1, foto 1, lien photo, ruta imagen, picture, image, image url, image link, picture url, photo, thumbnail, main image, image src, images, img, bild, bild url, bildlink, hauptbild, produktbild, photo url, lien image, imagen, url imagen, foto, immagine, afbeelding',
  link: 'link, url, product url, product link, page, page url, web address, permalink, produktlink, produkt url, seite, lien, lien produit, adresse, enlace, url producto, collegamento',
  option:
    'option, option 1, option 2, option 3, option value, option 1 value, option 2 value, option 3 value, variant, variant title, variant option, colour, color, size, shade, farbe, groesse, farbton, ausfuehrung, variante, couleur, taille, teinte, color nombre, talla, tamano, tono, colore, taglia, kleur, maat',
  boost:
    'boost, boost factor, search boost, ranking boost, search weight, weighting, prioritaet, suchgewicht, priorite, prioridad, search priority, merchandising boost',
  hidden:
    'hidden, hide, is hidden, excluded, exclude from search, versteckt, ausgeblendet, masque, cache, oculto, nascosto, verborgen, not searchable',
  parts:
    'parts, contains, bundle, bundle items, bundle skus, components, set contents, kit contents, included products, included skus, enthaelt, bestandteile, set inhalt, contient, composants, contiene, componentes, set items',
};

/** A column's name for comparing: folded, words apart, `imageURL`, `image_url` and `Image URL` alike. */
export function nameKey(name: string): string {
  return fold(
    name
      .replace(/(\p{Ll})(\p{Lu})/gu, '$1 $2')
      .replace(/ä/gi, 'ae')
      .replace(/ö/gi, 'oe')
      .replace(/ü/gi, 'ue'),
  )
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();
}

const byName = new Map<string, Role>();
for (const role of roles) for (const name of names[role].split(', ')) if (!byName.has(name)) byName.set(name, role);

/** Words that names of a role are made of, and those that say no more of it: the currency, the tax, the language. */
const wordsOf = new Map(
  roles.map((role): [Role, ReadonlySet<string>] => [
    role,
    new Set([
      ...names[role].split(/,? /),
      ...'product item variant article artikel produkt main total usd eur gbp chf net gross incl excl tax vat brutto netto ttc ht iva de en fr es it nl'.split(
        ' ',
      ),
    ]),
  ]),
);

export interface NamedRole {
  readonly role: Role;
  /** 0 to 1: how sure the name alone is. */
  readonly confidence: number;
}

/** What a column's name says it is, most likely first; empty where it says nothing. */
export function rolesNamed(name: string): NamedRole[] {
  const key = nameKey(name);
  const bare = key.replace(/ \d+$/, '');
  const whole = byName.get(key) ?? byName.get(key.replaceAll(' ', '')) ?? byName.get(bare);
  if (whole) return [{ role: whole, confidence: 0.95 }];
  const found = new Map<Role, number>();
  // A known name inside a longer one: "VK Preis EUR", "product image link 2". The longer the part, the surer; words that
  // no name of the role has may make it something else ("US DVD Sales").
  for (const [known, role] of byName) {
    if (known.length < 3 || !` ${key} `.includes(` ${known} `)) continue;
    const others = key.split(' ').filter((word) => !wordsOf.get(role)!.has(word) && !/^\d+$/.test(word)).length;
    const confidence = 0.5 + 0.3 * (known.length / key.length) - 0.12 * others;
    if (confidence > (found.get(role) ?? 0)) found.set(role, confidence);
  }
  return [...found].map(([role, confidence]) => ({ role, confidence })).sort((a, b) => b.confidence - a.confidence);
}

/** A key for an attribute made of a column that is neither a role's nor one of those used. */
export function freeAttributeKey(column: string, used: ReadonlySet<string>): string {
  let key = attributeKey(column);
  for (let number = 2; used.has(key) || isReserved(key); number++) key = `${attributeKey(column)}_${number}`;
  return key;
}
const isReserved = (key: string): boolean => key === 'availability' || (roles as readonly string[]).includes(key);

/** The key of an attribute of the catalog's own: the column's name in small letters, words joined by a line. */
export function attributeKey(name: string): string {
  return (
    name
      .trim()
      .toLowerCase()
      .replace(/[\s-]+/g, '_')
      .slice(0, 80) || 'column'
  );
}
