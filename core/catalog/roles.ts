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
    'family, family id, product family, parent, parent id, parent sku, parent product, group, group id, item group id, product group id, style, style id, style code, model, model id, master, master id, vaterartikel, stammartikel, gruppe, eltern id, parent artikel, modele, groupe, familia, modelo, product group',
  sku: 'sku, part number, part no, item number, item no, article number, article no, product code, item code, code, mpn, stock code, catalogue number, catalog number, artikelnummer, artikelnr, art nr, artnr, bestellnummer, bestell nr, reference, ref, referencia, codigo, codice, artikelcode, varenummer, variant sku',
  title:
    'title, name, product name, product title, item name, label, designation, headline, produktname, artikelname, bezeichnung, artikelbezeichnung, produkttitel, titel, titre, nom, nom du produit, libelle, intitule, titulo, nombre, nombre del producto, nome, naam, productnaam, navn',
  description:
    'description, body, body html, long description, product description, details, text, content, copy, short description, beschreibung, artikelbeschreibung, langtext, langbeschreibung, produktbeschreibung, descriptif, texte, descripcion, descrizione, omschrijving, beskrivelse',
  brand:
    'brand, brand name, manufacturer, maker, vendor, label name, marke, hersteller, markenname, marque, fabricant, fabriquant, marca, fabricante, merk, marchio',
  category:
    'category, categories, category path, product category, product type, type path, department, breadcrumb, section, taxonomy, kategorie, kategorien, warengruppe, kategoriepfad, sortiment, categorie, rayon, categoria, categorias, seccion, afdeling, main category, sub category, subcategory, category 1, category 2, category 3, level 1, level 2, level 3',
  tags: 'tags, tag, keywords, labels, keyword, merkmale tags, schlagworte, schlagwoerter, stichworte, schlagwort, mots cles, motcle, etiquettes, etiquetas, palabras clave, parole chiave, trefwoorden',
  price:
    'price, sale price, current price, selling price, unit price, retail price, price gbp, price eur, price usd, net price, gross price, amount, preis, verkaufspreis, vk, bruttopreis, endpreis, preis eur, prix, prix ttc, prix de vente, precio, precio venta, pvp, prezzo, prijs, verkoopprijs, variant price, offers price',
  former_price:
    'former price, old price, was price, list price, rrp, msrp, regular price, original price, compare price, recommended price, price before, streichpreis, uvp, alter preis, listenpreis, prix barre, ancien prix, prix public, precio anterior, precio original, prezzo precedente, adviesprijs, van prijs',
  cost: 'cost, cost price, purchase price, buying price, wholesale price, einkaufspreis, ek, ek preis, prix d achat, cout, coste, precio de compra, costo, inkoopprijs',
  stock:
    'stock, quantity, qty, inventory, stock level, stock quantity, on hand, available quantity, units in stock, in stock, availability, instock, bestand, lagerbestand, lager, verfuegbar, menge, verfuegbarkeit, quantite, disponibilite, en stock, existencias, cantidad, disponibilidad, giacenza, voorraad, aantal, offers availability',
  rating:
    'rating, average rating, stars, review score, score, review rating, bewertung, sterne, durchschnittsbewertung, note, note moyenne, valoracion, puntuacion, voto, beoordeling, aggregate rating rating value',
  ratings:
    'ratings, review count, reviews, number of reviews, rating count, number of ratings, anzahl bewertungen, bewertungen, nombre d avis, avis, numero de valoraciones, resenas, recensioni, aantal beoordelingen, aggregate rating review count',
  units_sold:
    'units sold, sold, sales, sales 90 days, orders, times sold, sold units, quantity sold, absatz, verkauft, verkaufte menge, verkaeufe, ventes, vendus, quantite vendue, ventas, vendidos, unidades vendidas, vendite, verkocht',
  date_added:
    'date added, created, created at, date created, added, launch date, release date, published, published at, available from, first seen, erstellt, erstellt am, anlagedatum, angelegt am, erscheinungsdatum, date de creation, date d ajout, ajoute le, fecha de alta, fecha de creacion, fecha, data inserimento, datum, aanmaakdatum',
  picture:
    'picture, image, image url, image link, picture url, photo, thumbnail, main image, image src, images, img, bild, bild url, bildlink, hauptbild, produktbild, photo url, lien image, imagen, url imagen, foto, immagine, afbeelding',
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

export interface NamedRole {
  readonly role: Role;
  /** 0 to 1: how sure the name alone is. */
  readonly confidence: number;
}

/** What a column's name says it is, most likely first; empty where it says nothing. */
export function rolesNamed(name: string): NamedRole[] {
  const key = nameKey(name);
  const whole = byName.get(key) ?? byName.get(key.replaceAll(' ', ''));
  if (whole) return [{ role: whole, confidence: 0.95 }];
  const found = new Map<Role, number>();
  // A known name inside a longer one: "VK Preis EUR", "product image link 2". The longer the part, the surer.
  for (const [known, role] of byName) {
    if (known.length < 3 || !` ${key} `.includes(` ${known} `)) continue;
    const confidence = 0.5 + 0.3 * (known.length / key.length);
    if (confidence > (found.get(role) ?? 0)) found.set(role, confidence);
  }
  return [...found].map(([role, confidence]) => ({ role, confidence })).sort((a, b) => b.confidence - a.confidence);
}

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
