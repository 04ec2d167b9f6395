import type Database from 'better-sqlite3';

/** Tables as they were before databases had a version; a folder of that time has some of them or all. */
const firstSchema = `
CREATE TABLE IF NOT EXISTS storefront (
  id TEXT PRIMARY KEY,
  release INTEGER,                      -- number of the release shoppers get
  generation INTEGER NOT NULL DEFAULT 0 -- catalog generation in force; 0: none yet
) STRICT;
CREATE TABLE IF NOT EXISTS draft (
  storefront TEXT NOT NULL REFERENCES storefront (id),
  id TEXT NOT NULL,
  revision INTEGER NOT NULL,
  PRIMARY KEY (storefront, id)
) STRICT;
CREATE TABLE IF NOT EXISTS setup_entry (
  storefront TEXT NOT NULL,
  draft TEXT NOT NULL,
  part TEXT NOT NULL,
  key TEXT NOT NULL,
  value TEXT NOT NULL,
  PRIMARY KEY (storefront, draft, part, key)
) STRICT, WITHOUT ROWID;
CREATE TABLE IF NOT EXISTS journal (
  id INTEGER PRIMARY KEY AUTOINCREMENT,
  storefront TEXT NOT NULL,
  draft TEXT NOT NULL,
  revision INTEGER NOT NULL,            -- the draft's after this change
  who TEXT NOT NULL,
  at INTEGER NOT NULL,                  -- milliseconds since 1970
  kind TEXT NOT NULL CHECK (kind IN ('edit', 'undo', 'redo')),
  changes TEXT NOT NULL,                -- [{part, key, before, after}]
  state TEXT NOT NULL CHECK (state IN ('done', 'undone', 'gone'))
) STRICT;
CREATE INDEX IF NOT EXISTS journal_by_draft ON journal (storefront, draft, kind, state, id);
CREATE TABLE IF NOT EXISTS release (
  storefront TEXT NOT NULL,
  number INTEGER NOT NULL,
  at INTEGER NOT NULL,
  who TEXT NOT NULL,
  note TEXT NOT NULL,
  document TEXT NOT NULL,
  PRIMARY KEY (storefront, number)
) STRICT;
CREATE TABLE IF NOT EXISTS catalog_import (
  generation INTEGER PRIMARY KEY,
  storefront TEXT NOT NULL,
  file TEXT NOT NULL,
  at INTEGER NOT NULL,
  records INTEGER NOT NULL,
  families INTEGER NOT NULL,
  rejected INTEGER NOT NULL,
  index_bytes INTEGER NOT NULL
) STRICT;
CREATE TABLE IF NOT EXISTS fact_note (
  storefront TEXT PRIMARY KEY,
  facts_at INTEGER NOT NULL             -- when a feed last changed a price or stock
) STRICT;
CREATE TABLE IF NOT EXISTS search_log (
  id INTEGER PRIMARY KEY,
  storefront TEXT NOT NULL,
  at INTEGER NOT NULL,
  session TEXT NOT NULL,
  search TEXT NOT NULL,
  key TEXT NOT NULL,                    -- the folded words in order
  filters TEXT NOT NULL,
  results INTEGER NOT NULL,
  by_desk INTEGER NOT NULL              -- 1: made by a merchandiser in the desk's window; not counted as demand
) STRICT;
CREATE INDEX IF NOT EXISTS search_log_by_key ON search_log (storefront, by_desk, key);
CREATE INDEX IF NOT EXISTS search_log_by_session ON search_log (storefront, session, at);
CREATE INDEX IF NOT EXISTS search_log_by_time ON search_log (storefront, at);
CREATE TABLE IF NOT EXISTS search_outcome (
  search_id INTEGER NOT NULL REFERENCES search_log (id),
  kind TEXT NOT NULL CHECK (kind IN ('click', 'basket', 'purchase')),
  product TEXT NOT NULL,
  place INTEGER                         -- of a click, from 1
) STRICT;
CREATE INDEX IF NOT EXISTS search_outcome_by_search ON search_outcome (search_id, kind);
CREATE TABLE IF NOT EXISTS mapping (
  storefront TEXT NOT NULL,
  shape TEXT NOT NULL,                  -- the columns of the files it is for
  mapping TEXT NOT NULL,
  at INTEGER NOT NULL,
  PRIMARY KEY (storefront, shape)
) STRICT, WITHOUT ROWID;
CREATE TABLE IF NOT EXISTS family_correction (
  storefront TEXT NOT NULL,
  record TEXT NOT NULL,
  family TEXT NOT NULL,
  PRIMARY KEY (storefront, record)
) STRICT, WITHOUT ROWID;
CREATE TABLE IF NOT EXISTS declined (
  storefront TEXT NOT NULL,
  proposal TEXT NOT NULL,
  PRIMARY KEY (storefront, proposal)
) STRICT, WITHOUT ROWID;
CREATE TABLE IF NOT EXISTS content_version (
  storefront TEXT PRIMARY KEY,
  version INTEGER NOT NULL
) STRICT;
CREATE TABLE IF NOT EXISTS content (
  storefront TEXT NOT NULL,
  kind TEXT NOT NULL CHECK (kind IN ('article', 'collection')),
  id TEXT NOT NULL,
  value TEXT NOT NULL,
  PRIMARY KEY (storefront, kind, id)
) STRICT, WITHOUT ROWID;
`;

/**
 * What a release changed, so that a list of releases needs no document; drafts know the format of their entries;
 * generation numbers are given once, whatever becomes of the files.
 */
const second = `
ALTER TABLE release ADD COLUMN changes TEXT;           -- [{part, key, before, after}] against the release before it
ALTER TABLE draft ADD COLUMN format INTEGER NOT NULL DEFAULT 1;
ALTER TABLE storefront ADD COLUMN last_generation INTEGER NOT NULL DEFAULT 0;
UPDATE storefront SET last_generation = max(generation, coalesce((SELECT max(generation) FROM catalog_import), 0));
CREATE TABLE log_note (storefront TEXT PRIMARY KEY, version INTEGER NOT NULL) STRICT; -- grows with every import of a log
CREATE INDEX journal_by_revision ON journal (storefront, draft, revision);
CREATE INDEX search_outcome_by_kind ON search_outcome (kind, search_id);
`;

/**
 * Several storefronts and drafts: drafts have names, remember what they were begun from and can be taken out and put back;
 * numbers of generations are given once for all storefronts, and each belongs to one.
 */
const third = `
ALTER TABLE storefront ADD COLUMN name TEXT NOT NULL DEFAULT '';
ALTER TABLE storefront ADD COLUMN made_at INTEGER NOT NULL DEFAULT 0;
ALTER TABLE storefront ADD COLUMN archived_at INTEGER;      -- shoppers are told that it is closed
ALTER TABLE draft ADD COLUMN name TEXT NOT NULL DEFAULT '';
ALTER TABLE draft ADD COLUMN note TEXT NOT NULL DEFAULT '';
ALTER TABLE draft ADD COLUMN who TEXT NOT NULL DEFAULT '';
ALTER TABLE draft ADD COLUMN made_at INTEGER NOT NULL DEFAULT 0;
ALTER TABLE draft ADD COLUMN removed_at INTEGER;            -- taken out; its entries and its journal stay
ALTER TABLE draft ADD COLUMN base_release INTEGER;          -- the release it was begun from or brought up to last
ALTER TABLE journal ADD COLUMN first_revision INTEGER;      -- of a step that several edits were joined into: the first one's
ALTER TABLE journal ADD COLUMN source TEXT;                 -- of a merge: the setup it was of, by its name
ALTER TABLE journal ADD COLUMN base_before INTEGER;         -- of a merge: the draft's base_release before and after
ALTER TABLE journal ADD COLUMN base_after INTEGER;
CREATE TABLE draft_base (                                   -- what two drafts of a storefront have in common last
  storefront TEXT NOT NULL,
  one TEXT NOT NULL,
  other TEXT NOT NULL,
  step INTEGER NOT NULL,                                    -- the journal's step that made it; 0: one was begun from the other
  document TEXT NOT NULL,
  PRIMARY KEY (storefront, one, other, step)
) STRICT, WITHOUT ROWID;
CREATE TABLE preview (                                      -- links by which a draft's shop is shown without the desk
  token TEXT PRIMARY KEY,
  storefront TEXT NOT NULL,
  draft TEXT NOT NULL,
  who TEXT NOT NULL,
  made_at INTEGER NOT NULL,
  ends_at INTEGER NOT NULL,
  withdrawn_at INTEGER
) STRICT;
CREATE INDEX preview_by_draft ON preview (storefront, draft, made_at);
UPDATE storefront SET made_at = coalesce((SELECT min(at) FROM release WHERE storefront = storefront.id), 0);
UPDATE draft SET name = 'Main draft', who = 'Clever Shelf',
  made_at = coalesce((SELECT min(at) FROM release WHERE storefront = draft.storefront), 0),
  base_release = (SELECT release FROM storefront WHERE id = draft.storefront);
CREATE TABLE catalog_generation (number INTEGER PRIMARY KEY AUTOINCREMENT, storefront TEXT NOT NULL) STRICT;
INSERT INTO catalog_generation (number, storefront)
  WITH RECURSIVE given (number, storefront, last) AS (
    SELECT 1, id, last_generation FROM storefront WHERE last_generation > 0
    UNION ALL SELECT number + 1, storefront, last FROM given WHERE number < last
  )
  SELECT number, storefront FROM given;
ALTER TABLE storefront DROP COLUMN last_generation;
`;

/** Storefronts that share another one's records, and history that is kept for some time. */
const fourth = `
ALTER TABLE storefront ADD COLUMN shares TEXT;                    -- the storefront whose records it shares
ALTER TABLE storefront ADD COLUMN history_days INTEGER;           -- for how long its history is kept; null: for good
ALTER TABLE catalog_import ADD COLUMN lent INTEGER NOT NULL DEFAULT 0;  -- another storefront's generation it was read from
ALTER TABLE draft ADD COLUMN pruned_to INTEGER NOT NULL DEFAULT 0;      -- up to which revision steps may be gone
`;

/** What is near in meaning to words that a catalog does not have, kept to be there at once; what of the log is written, and for how long. */
const fifth = `
CREATE TABLE near_text (storefront TEXT PRIMARY KEY, version INTEGER NOT NULL, list TEXT NOT NULL) STRICT;
ALTER TABLE storefront ADD COLUMN log_off INTEGER NOT NULL DEFAULT 0;   -- 1: what shoppers do is not written
ALTER TABLE storefront ADD COLUMN log_days INTEGER;                     -- for how long it is kept; null: for good
CREATE TABLE other_click (                                              -- what shoppers chose besides products among results
  storefront TEXT NOT NULL,
  at INTEGER NOT NULL,
  session TEXT NOT NULL,
  in_box INTEGER NOT NULL,                                              -- 1: under the search box
  search TEXT NOT NULL,                                                 -- as far as it was typed
  kind TEXT NOT NULL,
  target TEXT NOT NULL
) STRICT;
CREATE INDEX other_click_by_time ON other_click (storefront, at);
`;

/** Keys by which pages of other sites show a storefront's search, and whether those are told to show their own instead. */
const sixth = `
CREATE TABLE shop_key (
  key TEXT PRIMARY KEY,
  storefront TEXT NOT NULL,
  name TEXT NOT NULL,
  origins TEXT NOT NULL,                                                -- a JSON list: pages of which sites may use it
  per_minute INTEGER NOT NULL,
  who TEXT NOT NULL,
  made_at INTEGER NOT NULL,
  withdrawn_at INTEGER
) STRICT;
CREATE INDEX shop_key_by_storefront ON shop_key (storefront, made_at);
ALTER TABLE storefront ADD COLUMN paused_at INTEGER;                    -- since when pages of other sites show their own search; null: they do not
`;

/** Which products, and which kinds of them, shoppers take and open together, counted from the log. */
const seventh = `
CREATE TABLE together (
  storefront TEXT NOT NULL,
  relation TEXT NOT NULL CHECK (relation IN ('goesWith', 'standsIn', 'kinds')),
  one TEXT NOT NULL,
  place INTEGER NOT NULL,                                               -- among those of \`one\`, from 1
  other TEXT NOT NULL,
  both INTEGER NOT NULL,                                                -- visits
  of_one INTEGER NOT NULL,
  by_chance REAL NOT NULL,
  score REAL NOT NULL,
  PRIMARY KEY (storefront, relation, one, place)
) STRICT, WITHOUT ROWID;
CREATE TABLE together_note (storefront TEXT PRIMARY KEY, made_from TEXT NOT NULL, visits INTEGER NOT NULL) STRICT;
`;

/** One step for each version of the main database, the first being from nothing to 1. A step never changes once it has shipped. */
const steps: readonly string[] = [firstSchema, second, third, fourth, fifth, sixth, seventh];

/** Version of the main database that this program reads and writes. */
export const databaseVersion = steps.length;

/** The version a database is of; 0 before databases had one. */
export const versionOf = (db: Database.Database): number => db.pragma('user_version', { simple: true }) as number;

/** Brings a database to today's version in one transaction, or leaves it as it was. */
export function migrate(db: Database.Database): void {
  db.transaction(() => {
    for (let version = versionOf(db); version < databaseVersion; version++) {
      db.exec(steps[version]!);
      db.pragma(`user_version = ${version + 1}`);
    }
  }).immediate();
}
