// Made from the document of the interface by `npm run client-types`; not written by hand.
export interface Results {
  query: string;
  /**
   * What a plan takes out of the search, and where it looks.
   */
  scoped: {
    from: 'plan' | 'rule' | 'collection' | 'begin' | 'boost';
    id: string;
    name: string;
    /**
     * The search that the one typed was corrected to, where the plan holds for that and not for what was typed.
     */
    corrected?: string;
    /**
     * Words of the search that are not looked for.
     */
    wordsOut: string[];
    /**
     * What is looked at only; null for everything.
     */
    within: {
      match: 'all' | 'any';
      tests: (
        | {
            how: 'is';
            attribute: string;
            values: string[];
          }
        | {
            how: 'isNot';
            attribute: string;
            values: string[];
          }
        | {
            how: 'contains';
            attribute: string;
            text: string;
          }
        | {
            how: 'startsWith';
            attribute: string;
            text: string;
          }
        | {
            how: 'between';
            attribute: string;
            from: number | null;
            to: number | null;
          }
        | {
            how: 'before';
            attribute: string;
            day: string;
          }
        | {
            how: 'after';
            attribute: string;
            day: string;
          }
        | {
            how: 'lastDays';
            attribute: string;
            days: number;
          }
        | {
            how: 'hasValue';
            attribute: string;
          }
        | {
            how: 'hasNone';
            attribute: string;
          }
        | {
            how: 'inStock';
          }
        | {
            how: 'soldOut';
          }
        | {
            how: 'reduced';
          }
        | {
            how: 'inCollection';
            collections: string[];
          }
        | {
            how: 'notInCollection';
            collections: string[];
          }
        | {
            match: 'all' | 'any';
            tests: (
              | {
                  how: 'is';
                  attribute: string;
                  values: string[];
                }
              | {
                  how: 'isNot';
                  attribute: string;
                  values: string[];
                }
              | {
                  how: 'contains';
                  attribute: string;
                  text: string;
                }
              | {
                  how: 'startsWith';
                  attribute: string;
                  text: string;
                }
              | {
                  how: 'between';
                  attribute: string;
                  from: number | null;
                  to: number | null;
                }
              | {
                  how: 'before';
                  attribute: string;
                  day: string;
                }
              | {
                  how: 'after';
                  attribute: string;
                  day: string;
                }
              | {
                  how: 'lastDays';
                  attribute: string;
                  days: number;
                }
              | {
                  how: 'hasValue';
                  attribute: string;
                }
              | {
                  how: 'hasNone';
                  attribute: string;
                }
              | {
                  how: 'inStock';
                }
              | {
                  how: 'soldOut';
                }
              | {
                  how: 'reduced';
                }
              | {
                  how: 'inCollection';
                  collections: string[];
                }
              | {
                  how: 'notInCollection';
                  collections: string[];
                }
            )[];
          }
      )[];
    } | null;
  } | null;
  /**
   * For the desk: pinned products that are not at their places, by place.
   */
  gaps?: {
    product: string;
    title: string;
    place: number;
    why: 'waits' | 'soldOut' | 'hidden' | 'notAmongOnly' | 'elsewhere' | 'filtered' | 'gone';
    plan: {
      id: string;
      name: string;
    };
  }[];
  /**
   * The search that a plan takes this one for; null where it is taken as it is.
   */
  takenFor: {
    from: 'plan' | 'rule' | 'collection' | 'begin' | 'boost';
    id: string;
    name: string;
    /**
     * The search that the one typed was corrected to, where the plan holds for that and not for what was typed.
     */
    corrected?: string;
    search: string;
  } | null;
  /**
   * What plans say to shoppers on this page, in the order in which it stands.
   */
  banners: {
    from: 'plan' | 'rule' | 'collection' | 'begin' | 'boost';
    id: string;
    name: string;
    /**
     * The search that the one typed was corrected to, where the plan holds for that and not for what was typed.
     */
    corrected?: string;
    where: 'above' | 'grid' | 'below';
    /**
     * Of one among the results: it stands before the product at this place.
     */
    place: number;
    text: string;
    link: string | null;
    picture: string | null;
  }[];
  /**
   * Where a plan sends the shopper instead. The results stand beside it: a shop may show them or go.
   */
  redirect: {
    from: 'plan' | 'rule' | 'collection' | 'begin' | 'boost';
    id: string;
    name: string;
    /**
     * The search that the one typed was corrected to, where the plan holds for that and not for what was typed.
     */
    corrected?: string;
    link: string;
  } | null;
  /**
   * Products (families) found.
   */
  total: number;
  page: number;
  limit: number;
  /**
   * Those of the page; where the layout goes on below, those of all pages up to it.
   */
  results: {
    id: string;
    familyId: string;
    sku: string;
    title: string;
    brand: string | null;
    price: number | null;
    /**
     * What its prices are in, by ISO 4217.
     */
    currency: string;
    formerPrice: number | null;
    rating: number | null;
    /**
     * How many ratings it has, where cards tell it.
     */
    ratings?: number;
    /**
     * Whether at least one variant is in stock.
     */
    available: boolean;
    /**
     * Whether the variant shown is in stock.
     */
    variantAvailable: boolean;
    /**
     * Whether cards have pictures; one that is missing is drawn.
     */
    showsPicture: boolean;
    picture: string | null;
    /**
     * Another picture, where cards show one when pointed at.
     */
    second?: string;
    link: string | null;
    /**
     * Variants of the family in the catalog.
     */
    variants: number;
    details: {
      key: string;
      label: string;
      value: string;
    }[];
    /**
     * The beginning of its description, where cards have it.
     */
    text?: string;
    /**
     * One variant of each value, where cards have them and there are several.
     */
    choices?: {
      /**
       * The attribute that tells the variants apart.
       */
      label: string;
      /**
       * Values that are not among these.
       */
      more: number;
      of: {
        id: string;
        sku: string;
        label: string;
        colour?: string;
        price: number | null;
        formerPrice: number | null;
        available: boolean;
        picture: string | null;
        badges: {
          text: string;
          place: 'left' | 'right' | 'below';
          /**
           * Its ground, as #rrggbb; its text is black or white, whichever is read better on it.
           */
          colour: string;
        }[];
      }[];
    };
    /**
     * Those of the variant shown, in their order; none at the desk.
     */
    badges: {
      text: string;
      place: 'left' | 'right' | 'below';
      /**
       * Its ground, as #rrggbb; its text is black or white, whichever is read better on it.
       */
      colour: string;
    }[];
    /**
     * The key of the card of its own that it has; absent: the usual one.
     */
    ownCard?: string;
    place: number;
    /**
     * After pulls; 0 where no words were looked for or the product is only pinned.
     */
    score: number;
    marks?: {
      pin?: {
        from: 'plan' | 'rule' | 'collection' | 'begin' | 'boost';
        id: string;
        name: string;
        /**
         * The search that the one typed was corrected to, where the plan holds for that and not for what was typed.
         */
        corrected?: string;
      };
      first?: {
        from: 'plan' | 'rule' | 'collection' | 'begin' | 'boost';
        id: string;
        name: string;
        /**
         * The search that the one typed was corrected to, where the plan holds for that and not for what was typed.
         */
        corrected?: string;
      };
      broughtIn?: boolean;
      pull?: number;
      exactSku?: boolean;
      /**
       * Places gained since what is published; null: it was not among the first ones there.
       */
      moved?: number | null;
    };
    why?: {
      words: {
        word: string;
        /**
         * Points this word could give at most, in thousandths.
         */
        share: number;
        best: {
          attribute: string;
          label: string;
          /**
           * The catalog word that was found.
           */
          term: string;
          how:
            | 'exact'
            | 'form'
            | 'joined'
            | 'split'
            | 'synonym'
            | 'prefix'
            | 'oneEdit'
            | 'rivalEdit'
            | 'twoEdits'
            | 'value'
            | 'compound'
            | 'related';
          weight: number;
          /**
           * What the gain is the product of, each 0 to 1: weight over the heaviest, how it was found, length, place.
           */
          parts: {
            weight: number;
            quality: number;
            length: number;
            place: number;
          };
          /**
           * Words its value has, at least; exact up to 8.
           */
          words: number;
          /**
           * Words of the value before it, at least; exact up to 7.
           */
          before: number;
          /**
           * 0 to 1: how well it was found there.
           */
          gain: number;
          points: number;
        };
        also: {
          attribute: string;
          label: string;
          /**
           * The catalog word that was found.
           */
          term: string;
          how:
            | 'exact'
            | 'form'
            | 'joined'
            | 'split'
            | 'synonym'
            | 'prefix'
            | 'oneEdit'
            | 'rivalEdit'
            | 'twoEdits'
            | 'value'
            | 'compound'
            | 'related';
          weight: number;
          /**
           * What the gain is the product of, each 0 to 1: weight over the heaviest, how it was found, length, place.
           */
          parts: {
            weight: number;
            quality: number;
            length: number;
            place: number;
          };
          /**
           * Words its value has, at least; exact up to 8.
           */
          words: number;
          /**
           * Words of the value before it, at least; exact up to 7.
           */
          before: number;
          /**
           * 0 to 1: how well it was found there.
           */
          gain: number;
          points: number;
        } | null;
      }[];
      closeness: {
        words: unknown[];
        gap: number;
        points: number;
      }[];
      /**
       * How much of a value the search says: so many of its words.
       */
      whole: {
        attribute: string;
        label: string;
        found: number;
        words: number;
        points: number;
      } | null;
      /**
       * What every product begins with where nothing is searched for, and what a product brought in has for its title; else 0.
       */
      start: number;
      /**
       * Whether it shows only since a plan brings it in.
       */
      broughtIn: boolean;
      /**
       * The plan, or the order of the collection, that puts it first.
       */
      first: {
        from: 'plan' | 'rule' | 'collection' | 'begin' | 'boost';
        id: string;
        name: string;
        /**
         * The search that the one typed was corrected to, where the plan holds for that and not for what was typed.
         */
        corrected?: string;
      } | null;
      /**
       * The search that this one was taken for, and by which plan.
       */
      takenFor: {
        from: 'plan' | 'rule' | 'collection' | 'begin' | 'boost';
        id: string;
        name: string;
        /**
         * The search that the one typed was corrected to, where the plan holds for that and not for what was typed.
         */
        corrected?: string;
        search: string;
      } | null;
      /**
       * The sum of the lines above.
       */
      matchScore: number;
      pulls: {
        from: 'plan' | 'rule' | 'collection' | 'begin' | 'boost';
        id: string;
        name: string;
        /**
         * The search that the one typed was corrected to, where the plan holds for that and not for what was typed.
         */
        corrected?: string;
        pull: number;
      }[];
      /**
       * The product of the pulls, kept between 0.1 and 10.
       */
      totalPull: number;
      /**
       * The score after pulls.
       */
      score: number;
      closeCall: {
        /**
         * Score of the first product of the group.
         */
        leader: number;
        width: number;
        signals: {
          attribute: string;
          label: string;
          direction: 'high' | 'low';
          value: number | null;
          /**
           * What the value is: the amount itself, a rating pulled to the mean, newness in percent, 1 for enough stock.
           */
          how: 'plain' | 'pulled' | 'newness' | 'enough';
        }[];
        /**
         * Attribute that put it below the one before it in its group.
         */
        decidedBy: string | null;
      } | null;
      /**
       * The plan that gives the results this order.
       */
      sortedByPlan: {
        from: 'plan' | 'rule' | 'collection' | 'begin' | 'boost';
        id: string;
        name: string;
        /**
         * The search that the one typed was corrected to, where the plan holds for that and not for what was typed.
         */
        corrected?: string;
      } | null;
      /**
       * The order chosen from the sorting menu, or that before any search, with its amounts.
       */
      sorted: {
        label: string;
        signals: {
          attribute: string;
          label: string;
          direction: 'high' | 'low';
          value: number | null;
          /**
           * What the value is: the amount itself, a rating pulled to the mean, newness in percent, 1 for enough stock.
           */
          how: 'plain' | 'pulled' | 'newness' | 'enough';
        }[];
      } | null;
      /**
       * The collection whose products stand before the others before any search; null where it is in none.
       */
      ahead: {
        from: 'plan' | 'rule' | 'collection' | 'begin' | 'boost';
        id: string;
        name: string;
        /**
         * The search that the one typed was corrected to, where the plan holds for that and not for what was typed.
         */
        corrected?: string;
      } | null;
      /**
       * Whether `sorted` is the order before any search, which nobody chose; shuffled where it has no name.
       */
      begins: boolean;
      /**
       * Whether it stands after everything in stock, being sold out.
       */
      afterStock: boolean;
      pin: {
        from: 'plan' | 'rule' | 'collection' | 'begin' | 'boost';
        id: string;
        name: string;
        /**
         * The search that the one typed was corrected to, where the plan holds for that and not for what was typed.
         */
        corrected?: string;
        place: number;
      } | null;
      exactSku: boolean;
      /**
       * Phrases of the search: only what has their words side by side is shown.
       */
      together: string[];
      /**
       * What narrowed the results instead of being looked for as words.
       */
      narrowed: string[];
      place: number;
    };
  }[];
  /**
   * What the page of results is made of, in order.
   */
  pieces: (
    'heading' | 'count' | 'sorting' | 'collection' | 'besides' | 'notices' | 'filters' | 'chosen' | 'results' | 'more'
  )[];
  /**
   * How the results stand.
   */
  layout: {
    shape: 'grid' | 'list' | 'compact';
    inRow: {
      narrow: number;
      middle: number;
      wide: number;
    };
    picture: {
      height: number;
      fit: 'contain' | 'cover';
      ground?: string;
    };
    apart?: number;
    atOnce: number;
    way: 'pages' | 'button' | 'endless';
  };
  /**
   * What their cards are made of, in order.
   */
  arrangement: {
    pieces: {
      piece:
        | 'title'
        | 'brand'
        | 'details'
        | 'text'
        | 'variants'
        | 'price'
        | 'rating'
        | 'stock'
        | 'basket'
        | 'wish'
        | 'compare';
      on: boolean;
    }[];
    rating: 'number' | 'stars';
    stock: 'soldOut' | 'always';
    saving: boolean;
    labels: boolean;
    variantsBy?: string;
    quantity?: boolean;
    second?: boolean;
    ratings?: boolean;
  };
  /**
   * Cards of their own, which some products have instead.
   */
  ownCards: {
    key: string;
    card: {
      pieces: {
        piece:
          | 'title'
          | 'brand'
          | 'details'
          | 'text'
          | 'variants'
          | 'price'
          | 'rating'
          | 'stock'
          | 'basket'
          | 'wish'
          | 'compare';
        on: boolean;
      }[];
      rating: 'number' | 'stars';
      stock: 'soldOut' | 'always';
      saving: boolean;
      labels: boolean;
      variantsBy?: string;
      quantity?: boolean;
      second?: boolean;
      ratings?: boolean;
    };
  }[];
  /**
   * Where the first page has room left: what lacks one word, the best first. Not part of `total`.
   */
  close: {
    id: string;
    familyId: string;
    sku: string;
    title: string;
    brand: string | null;
    price: number | null;
    /**
     * What its prices are in, by ISO 4217.
     */
    currency: string;
    formerPrice: number | null;
    rating: number | null;
    /**
     * How many ratings it has, where cards tell it.
     */
    ratings?: number;
    /**
     * Whether at least one variant is in stock.
     */
    available: boolean;
    /**
     * Whether the variant shown is in stock.
     */
    variantAvailable: boolean;
    /**
     * Whether cards have pictures; one that is missing is drawn.
     */
    showsPicture: boolean;
    picture: string | null;
    /**
     * Another picture, where cards show one when pointed at.
     */
    second?: string;
    link: string | null;
    /**
     * Variants of the family in the catalog.
     */
    variants: number;
    details: {
      key: string;
      label: string;
      value: string;
    }[];
    /**
     * The beginning of its description, where cards have it.
     */
    text?: string;
    /**
     * One variant of each value, where cards have them and there are several.
     */
    choices?: {
      /**
       * The attribute that tells the variants apart.
       */
      label: string;
      /**
       * Values that are not among these.
       */
      more: number;
      of: {
        id: string;
        sku: string;
        label: string;
        colour?: string;
        price: number | null;
        formerPrice: number | null;
        available: boolean;
        picture: string | null;
        badges: {
          text: string;
          place: 'left' | 'right' | 'below';
          /**
           * Its ground, as #rrggbb; its text is black or white, whichever is read better on it.
           */
          colour: string;
        }[];
      }[];
    };
    /**
     * Those of the variant shown, in their order; none at the desk.
     */
    badges: {
      text: string;
      place: 'left' | 'right' | 'below';
      /**
       * Its ground, as #rrggbb; its text is black or white, whichever is read better on it.
       */
      colour: string;
    }[];
    /**
     * The key of the card of its own that it has; absent: the usual one.
     */
    ownCard?: string;
    /**
     * What the other words give, less the share of the missing one.
     */
    score: number;
    /**
     * The word it lacks.
     */
    without: string;
  }[];
  filters: {
    key: string;
    label: string;
    kind:
      | 'ticks'
      | 'single'
      | 'dropdown'
      | 'swatches'
      | 'tiles'
      | 'tree'
      | 'range'
      | 'slider'
      | 'bands'
      | 'rating'
      | 'yesNo';
    /**
     * Whether shoppers see the counts.
     */
    counts: boolean;
    help?: string;
    /**
     * Of several chosen values, products must have all; otherwise any.
     */
    allOf?: boolean;
    /**
     * At most one value is chosen, though its kind would take several.
     */
    oneOf?: boolean;
    /**
     * Whether an entry takes the choice back.
     */
    anyEntry?: boolean;
    selectAll?: boolean;
    /**
     * Collapsed until it is opened.
     */
    closed?: boolean;
    /**
     * Values shown before the shopper asks for more.
     */
    showFirst: number;
    /**
     * Whether its values can be looked through; where absent, if they are many.
     */
    search?: boolean;
    /**
     * Whether its amounts are money.
     */
    isMoney: boolean;
    /**
     * Of money: what its amounts are in, by ISO 4217.
     */
    currency?: string;
    /**
     * What is chosen as long as the shopper says nothing of this filter.
     */
    preselected?: string[];
    values: {
      /**
       * What choosing it says.
       */
      value: string;
      /**
       * What shoppers read, in their language; of a path its last level.
       */
      label: string;
      /**
       * Products, families counted once, that choosing this value would show; of a filter that wants all, choosing it as well.
       */
      count: number;
      chosen: boolean;
      /**
       * Of a tree: levels above it.
       */
      depth?: number;
      /**
       * Of ranges and ratings: from this amount …
       */
      from?: number | null;
      /**
       * … up to below that one; null where open.
       */
      to?: number | null;
      /**
       * Of dates: not older than so many days.
       */
      days?: number;
      colour?: string;
      picture?: string;
    }[];
    /**
     * Values left out beyond the limit; `like` looks through them.
     */
    more: number;
    /**
     * Ends over the results with the other filters applied, and what is chosen.
     */
    range?: {
      least: number;
      most: number;
      chosen: string | null;
      /**
       * Products in equal parts from least to most.
       */
      histogram?: number[];
    };
  }[];
  /**
   * Filters of the shop that are not beside these results, and why.
   */
  filtersNotShown: {
    key: string;
    why: 'elsewhere' | 'otherFilters' | 'waiting' | 'uniform' | 'empty';
  }[];
  shop: {
    /**
     * At the head of the shop.
     */
    name: string;
    /**
     * By ISO 4217.
     */
    currency: string;
    /**
     * Where shoppers know it from.
     */
    address?: string;
    /**
     * Where it sells, by ISO 3166-1: whose stock and prices it takes of a file that has several.
     */
    country?: string;
    tax?: {
      included: boolean;
      rate: number;
    };
    /**
     * In which its days begin and end; absent: UTC.
     */
    timeZone?: string;
  };
  /**
   * How the shop looks.
   */
  look: {
    /**
     * Variables of style sheets with their values.
     */
    light: {
      [k: string]: string;
    };
    /**
     * Besides, on dark pages; null: the shop is never dark.
     */
    dark: {
      [k: string]: string;
    } | null;
    /**
     * Letters that come with the shop and have to be fetched.
     */
    letters: string[];
    /**
     * Style sheet of the merchandiser’s own, without what could reach beyond the shop.
     */
    style: string;
  };
  /**
   * What the empty search box says, in the shopper’s language.
   */
  boxSays: string;
  /**
   * What the button of the search box says; empty: it shows a glass.
   */
  boxButton: string;
  /**
   * What comes of a search without words.
   */
  emptySearch: 'everything' | 'first' | 'nothing';
  /**
   * In which the shop speaks to this shopper.
   */
  language: 'en' | 'de' | 'fr' | 'es';
  /**
   * Texts of the shop that the merchandiser worded, in that language, by key: ICU messages.
   */
  wording: {
    [k: string]: string;
  };
  /**
   * Languages the shopper may choose from; the first is the catalog’s own.
   */
  languages: string[];
  filterLayout: {
    wide: 'left' | 'right' | 'above' | 'drawer';
    middle: 'above' | 'drawer';
    narrow: 'above' | 'drawer';
    keep: boolean;
  };
  /**
   * The orders a shopper may choose from, as `sort`.
   */
  sorting: {
    key: string;
    label: string;
    chosen: boolean;
  }[];
  /**
   * A limit of price that was recognised in the search; `asWords` takes it as words.
   */
  understood: {
    text: string;
    from: number | null;
    to: number | null;
  } | null;
  /**
   * What words of the search were recognised as: a value, or a condition (null). `asWords` takes one as words.
   */
  recognised: {
    text: string;
    as: 'strong' | 'filter';
    named: {
      attribute: string;
      label: string;
      value: string;
    } | null;
  }[];
  /**
   * The product whose part number the search is, as a whole.
   */
  leadsTo: string | null;
  corrections: {
    from: string;
    to: string;
  }[];
  /**
   * What a misspelt search may have been meant as: whole searches, likeliest first.
   */
  offers: string[];
  /**
   * Words left out, since nothing has all of them.
   */
  dropped: string[];
  /**
   * What was recognised, and taken as plain words after all, since nothing would have been left.
   */
  loosened: string[];
  /**
   * The search, near in meaning, that was looked for instead; null where this one was.
   */
  near: {
    search: string;
    from: 'tried' | 'opened' | 'dictionary';
  } | null;
  /**
   * The collection it was asked in, where the whole shop was looked through instead.
   */
  outside: {
    id: string;
    title: string;
  } | null;
  /**
   * Whether just what was typed was looked for, without another step.
   */
  exactly: boolean;
  /**
   * Phrases of the vocabulary: only what has their words side by side is shown.
   */
  together: string[];
  /**
   * Chosen filters that this shop does not have.
   */
  ignoredFilters: string[];
  /**
   * What was asked for and not done: filters, ranges, a sorting or a collection.
   */
  ignored: {
    parameter: string;
    value: string;
    /**
     * There is none of that name, it is not beside these results, or the value is no range.
     */
    reason: 'unknown' | 'not-here' | 'no-range';
  }[];
  /**
   * The collection whose products these are, where one was asked for.
   */
  collection: {
    id: string;
    title: string;
    text: string;
    picture: string | null;
    /**
     * Collections it stands below, the nearest last.
     */
    above: {
      id: string;
      title: string;
    }[];
    /**
     * Collections right below it.
     */
    below: {
      id: string;
      title: string;
    }[];
  } | null;
  collections: {
    id: string;
    title: string;
    picture: string | null;
  }[];
  articles: {
    id: string;
    title: string;
    link: string;
    picture: string | null;
    extract: string;
  }[];
  /**
   * Where articles and collections stand, and how many there are: at most 60 of each are looked for.
   */
  besides: {
    /**
     * Products before what stands between them.
     */
    after: number;
    /**
     * What all of is shown, in place of the products.
     */
    show: 'collections' | 'articles' | null;
    collections: {
      where: 'above' | 'between' | 'below' | 'tab' | 'none';
      total: number;
    };
    articles: {
      where: 'above' | 'between' | 'below' | 'tab' | 'none';
      total: number;
    };
  };
  /**
   * What has all the words within some collections.
   */
  blocks: {
    collection: {
      id: string;
      title: string;
    };
    heading: string;
    where: 'above' | 'below';
    total: number;
    cards: {
      id: string;
      familyId: string;
      sku: string;
      title: string;
      brand: string | null;
      price: number | null;
      /**
       * What its prices are in, by ISO 4217.
       */
      currency: string;
      formerPrice: number | null;
      rating: number | null;
      /**
       * How many ratings it has, where cards tell it.
       */
      ratings?: number;
      /**
       * Whether at least one variant is in stock.
       */
      available: boolean;
      /**
       * Whether the variant shown is in stock.
       */
      variantAvailable: boolean;
      /**
       * Whether cards have pictures; one that is missing is drawn.
       */
      showsPicture: boolean;
      picture: string | null;
      /**
       * Another picture, where cards show one when pointed at.
       */
      second?: string;
      link: string | null;
      /**
       * Variants of the family in the catalog.
       */
      variants: number;
      details: {
        key: string;
        label: string;
        value: string;
      }[];
      /**
       * The beginning of its description, where cards have it.
       */
      text?: string;
      /**
       * One variant of each value, where cards have them and there are several.
       */
      choices?: {
        /**
         * The attribute that tells the variants apart.
         */
        label: string;
        /**
         * Values that are not among these.
         */
        more: number;
        of: {
          id: string;
          sku: string;
          label: string;
          colour?: string;
          price: number | null;
          formerPrice: number | null;
          available: boolean;
          picture: string | null;
          badges: {
            text: string;
            place: 'left' | 'right' | 'below';
            /**
             * Its ground, as #rrggbb; its text is black or white, whichever is read better on it.
             */
            colour: string;
          }[];
        }[];
      };
      /**
       * Those of the variant shown, in their order; none at the desk.
       */
      badges: {
        text: string;
        place: 'left' | 'right' | 'below';
        /**
         * Its ground, as #rrggbb; its text is black or white, whichever is read better on it.
         */
        colour: string;
      }[];
      /**
       * The key of the card of its own that it has; absent: the usual one.
       */
      ownCard?: string;
    }[];
  }[];
  /**
   * What stands there where nothing is found.
   */
  emptyShelf: {
    /**
     * The special page it is, by its key; empty for the usual one.
     */
    special: string;
    message: string;
    tips: string[];
    searches: string[];
    /**
     * Chosen ones.
     */
    products: {
      id: string;
      familyId: string;
      sku: string;
      title: string;
      brand: string | null;
      price: number | null;
      /**
       * What its prices are in, by ISO 4217.
       */
      currency: string;
      formerPrice: number | null;
      rating: number | null;
      /**
       * How many ratings it has, where cards tell it.
       */
      ratings?: number;
      /**
       * Whether at least one variant is in stock.
       */
      available: boolean;
      /**
       * Whether the variant shown is in stock.
       */
      variantAvailable: boolean;
      /**
       * Whether cards have pictures; one that is missing is drawn.
       */
      showsPicture: boolean;
      picture: string | null;
      /**
       * Another picture, where cards show one when pointed at.
       */
      second?: string;
      link: string | null;
      /**
       * Variants of the family in the catalog.
       */
      variants: number;
      details: {
        key: string;
        label: string;
        value: string;
      }[];
      /**
       * The beginning of its description, where cards have it.
       */
      text?: string;
      /**
       * One variant of each value, where cards have them and there are several.
       */
      choices?: {
        /**
         * The attribute that tells the variants apart.
         */
        label: string;
        /**
         * Values that are not among these.
         */
        more: number;
        of: {
          id: string;
          sku: string;
          label: string;
          colour?: string;
          price: number | null;
          formerPrice: number | null;
          available: boolean;
          picture: string | null;
          badges: {
            text: string;
            place: 'left' | 'right' | 'below';
            /**
             * Its ground, as #rrggbb; its text is black or white, whichever is read better on it.
             */
            colour: string;
          }[];
        }[];
      };
      /**
       * Those of the variant shown, in their order; none at the desk.
       */
      badges: {
        text: string;
        place: 'left' | 'right' | 'below';
        /**
         * Its ground, as #rrggbb; its text is black or white, whichever is read better on it.
         */
        colour: string;
      }[];
      /**
       * The key of the card of its own that it has; absent: the usual one.
       */
      ownCard?: string;
    }[];
    bestSellers: {
      id: string;
      familyId: string;
      sku: string;
      title: string;
      brand: string | null;
      price: number | null;
      /**
       * What its prices are in, by ISO 4217.
       */
      currency: string;
      formerPrice: number | null;
      rating: number | null;
      /**
       * How many ratings it has, where cards tell it.
       */
      ratings?: number;
      /**
       * Whether at least one variant is in stock.
       */
      available: boolean;
      /**
       * Whether the variant shown is in stock.
       */
      variantAvailable: boolean;
      /**
       * Whether cards have pictures; one that is missing is drawn.
       */
      showsPicture: boolean;
      picture: string | null;
      /**
       * Another picture, where cards show one when pointed at.
       */
      second?: string;
      link: string | null;
      /**
       * Variants of the family in the catalog.
       */
      variants: number;
      details: {
        key: string;
        label: string;
        value: string;
      }[];
      /**
       * The beginning of its description, where cards have it.
       */
      text?: string;
      /**
       * One variant of each value, where cards have them and there are several.
       */
      choices?: {
        /**
         * The attribute that tells the variants apart.
         */
        label: string;
        /**
         * Values that are not among these.
         */
        more: number;
        of: {
          id: string;
          sku: string;
          label: string;
          colour?: string;
          price: number | null;
          formerPrice: number | null;
          available: boolean;
          picture: string | null;
          badges: {
            text: string;
            place: 'left' | 'right' | 'below';
            /**
             * Its ground, as #rrggbb; its text is black or white, whichever is read better on it.
             */
            colour: string;
          }[];
        }[];
      };
      /**
       * Those of the variant shown, in their order; none at the desk.
       */
      badges: {
        text: string;
        place: 'left' | 'right' | 'below';
        /**
         * Its ground, as #rrggbb; its text is black or white, whichever is read better on it.
         */
        colour: string;
      }[];
      /**
       * The key of the card of its own that it has; absent: the usual one.
       */
      ownCard?: string;
    }[];
    newest: {
      id: string;
      familyId: string;
      sku: string;
      title: string;
      brand: string | null;
      price: number | null;
      /**
       * What its prices are in, by ISO 4217.
       */
      currency: string;
      formerPrice: number | null;
      rating: number | null;
      /**
       * How many ratings it has, where cards tell it.
       */
      ratings?: number;
      /**
       * Whether at least one variant is in stock.
       */
      available: boolean;
      /**
       * Whether the variant shown is in stock.
       */
      variantAvailable: boolean;
      /**
       * Whether cards have pictures; one that is missing is drawn.
       */
      showsPicture: boolean;
      picture: string | null;
      /**
       * Another picture, where cards show one when pointed at.
       */
      second?: string;
      link: string | null;
      /**
       * Variants of the family in the catalog.
       */
      variants: number;
      details: {
        key: string;
        label: string;
        value: string;
      }[];
      /**
       * The beginning of its description, where cards have it.
       */
      text?: string;
      /**
       * One variant of each value, where cards have them and there are several.
       */
      choices?: {
        /**
         * The attribute that tells the variants apart.
         */
        label: string;
        /**
         * Values that are not among these.
         */
        more: number;
        of: {
          id: string;
          sku: string;
          label: string;
          colour?: string;
          price: number | null;
          formerPrice: number | null;
          available: boolean;
          picture: string | null;
          badges: {
            text: string;
            place: 'left' | 'right' | 'below';
            /**
             * Its ground, as #rrggbb; its text is black or white, whichever is read better on it.
             */
            colour: string;
          }[];
        }[];
      };
      /**
       * Those of the variant shown, in their order; none at the desk.
       */
      badges: {
        text: string;
        place: 'left' | 'right' | 'below';
        /**
         * Its ground, as #rrggbb; its text is black or white, whichever is read better on it.
         */
        colour: string;
      }[];
      /**
       * The key of the card of its own that it has; absent: the usual one.
       */
      ownCard?: string;
    }[];
    collection: {
      id: string;
      title: string;
      picture: string | null;
    } | null;
    articles: {
      id: string;
      title: string;
      link: string;
    }[];
    /**
     * Where the shopper is sent instead.
     */
    link: string | null;
    /**
     * The part number that the search is, where its product is not shown, and what may stand in for it.
     */
    unavailable: {
      partNumber: string;
      alternatives: {
        id: string;
        familyId: string;
        sku: string;
        title: string;
        brand: string | null;
        price: number | null;
        /**
         * What its prices are in, by ISO 4217.
         */
        currency: string;
        formerPrice: number | null;
        rating: number | null;
        /**
         * How many ratings it has, where cards tell it.
         */
        ratings?: number;
        /**
         * Whether at least one variant is in stock.
         */
        available: boolean;
        /**
         * Whether the variant shown is in stock.
         */
        variantAvailable: boolean;
        /**
         * Whether cards have pictures; one that is missing is drawn.
         */
        showsPicture: boolean;
        picture: string | null;
        /**
         * Another picture, where cards show one when pointed at.
         */
        second?: string;
        link: string | null;
        /**
         * Variants of the family in the catalog.
         */
        variants: number;
        details: {
          key: string;
          label: string;
          value: string;
        }[];
        /**
         * The beginning of its description, where cards have it.
         */
        text?: string;
        /**
         * One variant of each value, where cards have them and there are several.
         */
        choices?: {
          /**
           * The attribute that tells the variants apart.
           */
          label: string;
          /**
           * Values that are not among these.
           */
          more: number;
          of: {
            id: string;
            sku: string;
            label: string;
            colour?: string;
            price: number | null;
            formerPrice: number | null;
            available: boolean;
            picture: string | null;
            badges: {
              text: string;
              place: 'left' | 'right' | 'below';
              /**
               * Its ground, as #rrggbb; its text is black or white, whichever is read better on it.
               */
              colour: string;
            }[];
          }[];
        };
        /**
         * Those of the variant shown, in their order; none at the desk.
         */
        badges: {
          text: string;
          place: 'left' | 'right' | 'below';
          /**
           * Its ground, as #rrggbb; its text is black or white, whichever is read better on it.
           */
          colour: string;
        }[];
        /**
         * The key of the card of its own that it has; absent: the usual one.
         */
        ownCard?: string;
      }[];
    } | null;
  } | null;
}

export interface Suggestions {
  typed: string;
  moment: 'before' | 'typing' | 'nothing';
  blocks: (
    | {
        kind: 'recent';
        /**
         * Its heading, in the shopper’s language; empty for none.
         */
        title: string;
        /**
         * The column it stands in, from 1; blocks of one column stand in their order.
         */
        column: number;
        most: number;
      }
    | {
        kind: 'suggestions';
        /**
         * Its heading, in the shopper’s language; empty for none.
         */
        title: string;
        /**
         * The column it stands in, from 1; blocks of one column stand in their order.
         */
        column: number;
        items: {
          text: string;
          why: {
            from: 'log' | 'catalog' | 'setup';
            /**
             * How often shoppers made it.
             */
            searches: number;
            /**
             * Products whose titles or values hold it, as far as they were counted.
             */
            products: number;
            /**
             * Letters in which it differs from what was typed.
             */
            mistakes: number;
          };
        }[];
      }
    | {
        kind: 'popular';
        /**
         * Its heading, in the shopper’s language; empty for none.
         */
        title: string;
        /**
         * The column it stands in, from 1; blocks of one column stand in their order.
         */
        column: number;
        items: {
          text: string;
          why: {
            from: 'log' | 'catalog' | 'setup';
            /**
             * How often shoppers made it.
             */
            searches: number;
            /**
             * Products whose titles or values hold it, as far as they were counted.
             */
            products: number;
            /**
             * Letters in which it differs from what was typed.
             */
            mistakes: number;
          };
        }[];
      }
    | {
        kind: 'lookIn';
        /**
         * Its heading, in the shopper’s language; empty for none.
         */
        title: string;
        /**
         * The column it stands in, from 1; blocks of one column stand in their order.
         */
        column: number;
        items: {
          filter: string;
          /**
           * What choosing it says.
           */
          value: string;
          /**
           * What shoppers read; of a path its last level.
           */
          label: string;
          /**
           * What the filter is called.
           */
          of: string;
        }[];
      }
    | {
        kind: 'products';
        /**
         * Its heading, in the shopper’s language; empty for none.
         */
        title: string;
        /**
         * The column it stands in, from 1; blocks of one column stand in their order.
         */
        column: number;
        /**
         * Products side by side; 1 is a list.
         */
        inRow: number;
        items: {
          id: string;
          familyId: string;
          sku: string;
          title: string;
          brand: string | null;
          price: number | null;
          /**
           * What its prices are in, by ISO 4217.
           */
          currency: string;
          formerPrice: number | null;
          rating: number | null;
          /**
           * How many ratings it has, where cards tell it.
           */
          ratings?: number;
          /**
           * Whether at least one variant is in stock.
           */
          available: boolean;
          /**
           * Whether the variant shown is in stock.
           */
          variantAvailable: boolean;
          /**
           * Whether cards have pictures; one that is missing is drawn.
           */
          showsPicture: boolean;
          picture: string | null;
          /**
           * Another picture, where cards show one when pointed at.
           */
          second?: string;
          link: string | null;
          /**
           * Variants of the family in the catalog.
           */
          variants: number;
          details: {
            key: string;
            label: string;
            value: string;
          }[];
          /**
           * The beginning of its description, where cards have it.
           */
          text?: string;
          /**
           * One variant of each value, where cards have them and there are several.
           */
          choices?: {
            /**
             * The attribute that tells the variants apart.
             */
            label: string;
            /**
             * Values that are not among these.
             */
            more: number;
            of: {
              id: string;
              sku: string;
              label: string;
              colour?: string;
              price: number | null;
              formerPrice: number | null;
              available: boolean;
              picture: string | null;
              badges: {
                text: string;
                place: 'left' | 'right' | 'below';
                /**
                 * Its ground, as #rrggbb; its text is black or white, whichever is read better on it.
                 */
                colour: string;
              }[];
            }[];
          };
          /**
           * Those of the variant shown, in their order; none at the desk.
           */
          badges: {
            text: string;
            place: 'left' | 'right' | 'below';
            /**
             * Its ground, as #rrggbb; its text is black or white, whichever is read better on it.
             */
            colour: string;
          }[];
          /**
           * The key of the card of its own that it has; absent: the usual one.
           */
          ownCard?: string;
          place: number;
          /**
           * After pulls; 0 where no words were looked for or the product is only pinned.
           */
          score: number;
          marks?: {
            pin?: {
              from: 'plan' | 'rule' | 'collection' | 'begin' | 'boost';
              id: string;
              name: string;
              /**
               * The search that the one typed was corrected to, where the plan holds for that and not for what was typed.
               */
              corrected?: string;
            };
            first?: {
              from: 'plan' | 'rule' | 'collection' | 'begin' | 'boost';
              id: string;
              name: string;
              /**
               * The search that the one typed was corrected to, where the plan holds for that and not for what was typed.
               */
              corrected?: string;
            };
            broughtIn?: boolean;
            pull?: number;
            exactSku?: boolean;
            /**
             * Places gained since what is published; null: it was not among the first ones there.
             */
            moved?: number | null;
          };
          why?: {
            words: {
              word: string;
              /**
               * Points this word could give at most, in thousandths.
               */
              share: number;
              best: {
                attribute: string;
                label: string;
                /**
                 * The catalog word that was found.
                 */
                term: string;
                how:
                  | 'exact'
                  | 'form'
                  | 'joined'
                  | 'split'
                  | 'synonym'
                  | 'prefix'
                  | 'oneEdit'
                  | 'rivalEdit'
                  | 'twoEdits'
                  | 'value'
                  | 'compound'
                  | 'related';
                weight: number;
                /**
                 * What the gain is the product of, each 0 to 1: weight over the heaviest, how it was found, length, place.
                 */
                parts: {
                  weight: number;
                  quality: number;
                  length: number;
                  place: number;
                };
                /**
                 * Words its value has, at least; exact up to 8.
                 */
                words: number;
                /**
                 * Words of the value before it, at least; exact up to 7.
                 */
                before: number;
                /**
                 * 0 to 1: how well it was found there.
                 */
                gain: number;
                points: number;
              };
              also: {
                attribute: string;
                label: string;
                /**
                 * The catalog word that was found.
                 */
                term: string;
                how:
                  | 'exact'
                  | 'form'
                  | 'joined'
                  | 'split'
                  | 'synonym'
                  | 'prefix'
                  | 'oneEdit'
                  | 'rivalEdit'
                  | 'twoEdits'
                  | 'value'
                  | 'compound'
                  | 'related';
                weight: number;
                /**
                 * What the gain is the product of, each 0 to 1: weight over the heaviest, how it was found, length, place.
                 */
                parts: {
                  weight: number;
                  quality: number;
                  length: number;
                  place: number;
                };
                /**
                 * Words its value has, at least; exact up to 8.
                 */
                words: number;
                /**
                 * Words of the value before it, at least; exact up to 7.
                 */
                before: number;
                /**
                 * 0 to 1: how well it was found there.
                 */
                gain: number;
                points: number;
              } | null;
            }[];
            closeness: {
              words: unknown[];
              gap: number;
              points: number;
            }[];
            /**
             * How much of a value the search says: so many of its words.
             */
            whole: {
              attribute: string;
              label: string;
              found: number;
              words: number;
              points: number;
            } | null;
            /**
             * What every product begins with where nothing is searched for, and what a product brought in has for its title; else 0.
             */
            start: number;
            /**
             * Whether it shows only since a plan brings it in.
             */
            broughtIn: boolean;
            /**
             * The plan, or the order of the collection, that puts it first.
             */
            first: {
              from: 'plan' | 'rule' | 'collection' | 'begin' | 'boost';
              id: string;
              name: string;
              /**
               * The search that the one typed was corrected to, where the plan holds for that and not for what was typed.
               */
              corrected?: string;
            } | null;
            /**
             * The search that this one was taken for, and by which plan.
             */
            takenFor: {
              from: 'plan' | 'rule' | 'collection' | 'begin' | 'boost';
              id: string;
              name: string;
              /**
               * The search that the one typed was corrected to, where the plan holds for that and not for what was typed.
               */
              corrected?: string;
              search: string;
            } | null;
            /**
             * The sum of the lines above.
             */
            matchScore: number;
            pulls: {
              from: 'plan' | 'rule' | 'collection' | 'begin' | 'boost';
              id: string;
              name: string;
              /**
               * The search that the one typed was corrected to, where the plan holds for that and not for what was typed.
               */
              corrected?: string;
              pull: number;
            }[];
            /**
             * The product of the pulls, kept between 0.1 and 10.
             */
            totalPull: number;
            /**
             * The score after pulls.
             */
            score: number;
            closeCall: {
              /**
               * Score of the first product of the group.
               */
              leader: number;
              width: number;
              signals: {
                attribute: string;
                label: string;
                direction: 'high' | 'low';
                value: number | null;
                /**
                 * What the value is: the amount itself, a rating pulled to the mean, newness in percent, 1 for enough stock.
                 */
                how: 'plain' | 'pulled' | 'newness' | 'enough';
              }[];
              /**
               * Attribute that put it below the one before it in its group.
               */
              decidedBy: string | null;
            } | null;
            /**
             * The plan that gives the results this order.
             */
            sortedByPlan: {
              from: 'plan' | 'rule' | 'collection' | 'begin' | 'boost';
              id: string;
              name: string;
              /**
               * The search that the one typed was corrected to, where the plan holds for that and not for what was typed.
               */
              corrected?: string;
            } | null;
            /**
             * The order chosen from the sorting menu, or that before any search, with its amounts.
             */
            sorted: {
              label: string;
              signals: {
                attribute: string;
                label: string;
                direction: 'high' | 'low';
                value: number | null;
                /**
                 * What the value is: the amount itself, a rating pulled to the mean, newness in percent, 1 for enough stock.
                 */
                how: 'plain' | 'pulled' | 'newness' | 'enough';
              }[];
            } | null;
            /**
             * The collection whose products stand before the others before any search; null where it is in none.
             */
            ahead: {
              from: 'plan' | 'rule' | 'collection' | 'begin' | 'boost';
              id: string;
              name: string;
              /**
               * The search that the one typed was corrected to, where the plan holds for that and not for what was typed.
               */
              corrected?: string;
            } | null;
            /**
             * Whether `sorted` is the order before any search, which nobody chose; shuffled where it has no name.
             */
            begins: boolean;
            /**
             * Whether it stands after everything in stock, being sold out.
             */
            afterStock: boolean;
            pin: {
              from: 'plan' | 'rule' | 'collection' | 'begin' | 'boost';
              id: string;
              name: string;
              /**
               * The search that the one typed was corrected to, where the plan holds for that and not for what was typed.
               */
              corrected?: string;
              place: number;
            } | null;
            exactSku: boolean;
            /**
             * Phrases of the search: only what has their words side by side is shown.
             */
            together: string[];
            /**
             * What narrowed the results instead of being looked for as words.
             */
            narrowed: string[];
            place: number;
          };
        }[];
      }
    | {
        kind: 'collections';
        /**
         * Its heading, in the shopper’s language; empty for none.
         */
        title: string;
        /**
         * The column it stands in, from 1; blocks of one column stand in their order.
         */
        column: number;
        items: {
          id: string;
          title: string;
          picture: string | null;
        }[];
      }
    | {
        kind: 'articles';
        /**
         * Its heading, in the shopper’s language; empty for none.
         */
        title: string;
        /**
         * The column it stands in, from 1; blocks of one column stand in their order.
         */
        column: number;
        items: {
          id: string;
          title: string;
          link: string;
        }[];
      }
    | {
        kind: 'message';
        /**
         * Its heading, in the shopper’s language; empty for none.
         */
        title: string;
        /**
         * The column it stands in, from 1; blocks of one column stand in their order.
         */
        column: number;
        text: string;
      }
  )[];
  /**
   * Products that what is typed so far finds; 0 before anything is typed.
   */
  total: number;
  wide: 'box' | 'page' | 'free';
  /**
   * How wide what hangs under the box is, where it is set freely; CSS pixels.
   */
  pixels: number;
  /**
   * Letters typed before anything is suggested.
   */
  letters: number;
  line: (
    'picture' | 'badges' | 'price' | 'formerPrice' | 'brand' | 'rating' | 'partNumber' | 'availability' | 'basket'
  )[];
  marks: boolean;
  allResults: boolean;
  /**
   * Whether a search can be spoken, where the browser takes dictation.
   */
  dictation: boolean;
  shop: {
    /**
     * At the head of the shop.
     */
    name: string;
    /**
     * By ISO 4217.
     */
    currency: string;
    /**
     * Where shoppers know it from.
     */
    address?: string;
    /**
     * Where it sells, by ISO 3166-1: whose stock and prices it takes of a file that has several.
     */
    country?: string;
    tax?: {
      included: boolean;
      rate: number;
    };
    /**
     * In which its days begin and end; absent: UTC.
     */
    timeZone?: string;
  };
  /**
   * How the shop looks.
   */
  look: {
    /**
     * Variables of style sheets with their values.
     */
    light: {
      [k: string]: string;
    };
    /**
     * Besides, on dark pages; null: the shop is never dark.
     */
    dark: {
      [k: string]: string;
    } | null;
    /**
     * Letters that come with the shop and have to be fetched.
     */
    letters: string[];
    /**
     * Style sheet of the merchandiser’s own, without what could reach beyond the shop.
     */
    style: string;
  };
  /**
   * What the empty search box says, in the shopper’s language.
   */
  boxSays: string;
  /**
   * What the button of the search box says; empty: it shows a glass.
   */
  boxButton: string;
  /**
   * What comes of a search without words.
   */
  emptySearch: 'everything' | 'first' | 'nothing';
  /**
   * In which the shop speaks to this shopper.
   */
  language: 'en' | 'de' | 'fr' | 'es';
  /**
   * Texts of the shop that the merchandiser worded, in that language, by key: ICU messages.
   */
  wording: {
    [k: string]: string;
  };
  /**
   * Languages the shopper may choose from; the first is the catalog’s own.
   */
  languages: string[];
}

export interface Product {
  id: string;
  title: string;
  brand: string | null;
  description: string;
  /**
   * The description as the catalog has it marked up, safe to show as HTML; null where it is plain text.
   */
  descriptionMarkup: string | null;
  picture: string | null;
  /**
   * Those of all its variants, in their order, none twice.
   */
  pictures: string[];
  link: string | null;
  /**
   * What its prices are in, by ISO 4217.
   */
  currency: string;
  /**
   * The lowest price of its variants.
   */
  lowest: number | null;
  highest: number | null;
  /**
   * Whether at least one variant is in stock.
   */
  available: boolean;
  /**
   * Attributes that all variants share.
   */
  details: {
    key: string;
    label: string;
    value: string;
  }[];
  /**
   * Whether search engines are told to leave its page out.
   */
  notIndexed: boolean;
  /**
   * The levels of its category, the highest first; none where it has none.
   */
  path: string[];
  /**
   * The filter by which all products of a level are found; null for none.
   */
  pathFilter: string | null;
  /**
   * What a variant is chosen by, each with its values; none where variants are chosen from a list.
   */
  options: {
    key: string;
    label: string;
    values: string[];
  }[];
  /**
   * What goes with it.
   */
  companions: {
    id: string;
    familyId: string;
    sku: string;
    title: string;
    brand: string | null;
    price: number | null;
    /**
     * What its prices are in, by ISO 4217.
     */
    currency: string;
    formerPrice: number | null;
    rating: number | null;
    /**
     * How many ratings it has, where cards tell it.
     */
    ratings?: number;
    /**
     * Whether at least one variant is in stock.
     */
    available: boolean;
    /**
     * Whether the variant shown is in stock.
     */
    variantAvailable: boolean;
    /**
     * Whether cards have pictures; one that is missing is drawn.
     */
    showsPicture: boolean;
    picture: string | null;
    /**
     * Another picture, where cards show one when pointed at.
     */
    second?: string;
    link: string | null;
    /**
     * Variants of the family in the catalog.
     */
    variants: number;
    details: {
      key: string;
      label: string;
      value: string;
    }[];
    /**
     * The beginning of its description, where cards have it.
     */
    text?: string;
    /**
     * One variant of each value, where cards have them and there are several.
     */
    choices?: {
      /**
       * The attribute that tells the variants apart.
       */
      label: string;
      /**
       * Values that are not among these.
       */
      more: number;
      of: {
        id: string;
        sku: string;
        label: string;
        colour?: string;
        price: number | null;
        formerPrice: number | null;
        available: boolean;
        picture: string | null;
        badges: {
          text: string;
          place: 'left' | 'right' | 'below';
          /**
           * Its ground, as #rrggbb; its text is black or white, whichever is read better on it.
           */
          colour: string;
        }[];
      }[];
    };
    /**
     * Those of the variant shown, in their order; none at the desk.
     */
    badges: {
      text: string;
      place: 'left' | 'right' | 'below';
      /**
       * Its ground, as #rrggbb; its text is black or white, whichever is read better on it.
       */
      colour: string;
    }[];
    /**
     * The key of the card of its own that it has; absent: the usual one.
     */
    ownCard?: string;
  }[];
  /**
   * What stands in for it.
   */
  alternatives: {
    id: string;
    familyId: string;
    sku: string;
    title: string;
    brand: string | null;
    price: number | null;
    /**
     * What its prices are in, by ISO 4217.
     */
    currency: string;
    formerPrice: number | null;
    rating: number | null;
    /**
     * How many ratings it has, where cards tell it.
     */
    ratings?: number;
    /**
     * Whether at least one variant is in stock.
     */
    available: boolean;
    /**
     * Whether the variant shown is in stock.
     */
    variantAvailable: boolean;
    /**
     * Whether cards have pictures; one that is missing is drawn.
     */
    showsPicture: boolean;
    picture: string | null;
    /**
     * Another picture, where cards show one when pointed at.
     */
    second?: string;
    link: string | null;
    /**
     * Variants of the family in the catalog.
     */
    variants: number;
    details: {
      key: string;
      label: string;
      value: string;
    }[];
    /**
     * The beginning of its description, where cards have it.
     */
    text?: string;
    /**
     * One variant of each value, where cards have them and there are several.
     */
    choices?: {
      /**
       * The attribute that tells the variants apart.
       */
      label: string;
      /**
       * Values that are not among these.
       */
      more: number;
      of: {
        id: string;
        sku: string;
        label: string;
        colour?: string;
        price: number | null;
        formerPrice: number | null;
        available: boolean;
        picture: string | null;
        badges: {
          text: string;
          place: 'left' | 'right' | 'below';
          /**
           * Its ground, as #rrggbb; its text is black or white, whichever is read better on it.
           */
          colour: string;
        }[];
      }[];
    };
    /**
     * Those of the variant shown, in their order; none at the desk.
     */
    badges: {
      text: string;
      place: 'left' | 'right' | 'below';
      /**
       * Its ground, as #rrggbb; its text is black or white, whichever is read better on it.
       */
      colour: string;
    }[];
    /**
     * The key of the card of its own that it has; absent: the usual one.
     */
    ownCard?: string;
  }[];
  variants: {
    id: string;
    sku: string;
    /**
     * What it differs in, or its part number where it differs in nothing shoppers are shown.
     */
    name: string;
    /**
     * Its values of the options, in their order.
     */
    chosen: string[];
    /**
     * What it differs in besides.
     */
    details: {
      key: string;
      label: string;
      value: string;
    }[];
    price: number | null;
    formerPrice: number | null;
    available: boolean;
    stock: number | null;
    picture: string | null;
    /**
     * Its own.
     */
    pictures: string[];
  }[];
}

export interface Article {
  id: string;
  title: string;
  /**
   * As people read it, without markup.
   */
  text: string;
  /**
   * The same marked up, safe to show; null where it has no markup.
   */
  markup: string | null;
  link: string;
  picture: string;
  tags: string[];
}

export interface Beside {
  /**
   * Those asked about that the shop has, in their order.
   */
  things: {
    /**
     * The variant, or the product, that was asked about.
     */
    id: string;
    product: string;
    title: string;
    /**
     * What the variant differs in; empty where the product has no others.
     */
    variant: string;
    picture: string | null;
    price: number | null;
    available: boolean;
  }[];
  /**
   * What prices are in, by ISO 4217.
   */
  currency: string;
  /**
   * What goes with them and shows at that place.
   */
  companions: {
    id: string;
    familyId: string;
    sku: string;
    title: string;
    brand: string | null;
    price: number | null;
    /**
     * What its prices are in, by ISO 4217.
     */
    currency: string;
    formerPrice: number | null;
    rating: number | null;
    /**
     * How many ratings it has, where cards tell it.
     */
    ratings?: number;
    /**
     * Whether at least one variant is in stock.
     */
    available: boolean;
    /**
     * Whether the variant shown is in stock.
     */
    variantAvailable: boolean;
    /**
     * Whether cards have pictures; one that is missing is drawn.
     */
    showsPicture: boolean;
    picture: string | null;
    /**
     * Another picture, where cards show one when pointed at.
     */
    second?: string;
    link: string | null;
    /**
     * Variants of the family in the catalog.
     */
    variants: number;
    details: {
      key: string;
      label: string;
      value: string;
    }[];
    /**
     * The beginning of its description, where cards have it.
     */
    text?: string;
    /**
     * One variant of each value, where cards have them and there are several.
     */
    choices?: {
      /**
       * The attribute that tells the variants apart.
       */
      label: string;
      /**
       * Values that are not among these.
       */
      more: number;
      of: {
        id: string;
        sku: string;
        label: string;
        colour?: string;
        price: number | null;
        formerPrice: number | null;
        available: boolean;
        picture: string | null;
        badges: {
          text: string;
          place: 'left' | 'right' | 'below';
          /**
           * Its ground, as #rrggbb; its text is black or white, whichever is read better on it.
           */
          colour: string;
        }[];
      }[];
    };
    /**
     * Those of the variant shown, in their order; none at the desk.
     */
    badges: {
      text: string;
      place: 'left' | 'right' | 'below';
      /**
       * Its ground, as #rrggbb; its text is black or white, whichever is read better on it.
       */
      colour: string;
    }[];
    /**
     * The key of the card of its own that it has; absent: the usual one.
     */
    ownCard?: string;
  }[];
}
