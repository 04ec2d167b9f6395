/** Currencies offered to choose from, by ISO 4217; any other code is taken too. */
export const usualCurrencies: readonly string[] =
  'GBP EUR USD AUD BRL CAD CHF CNY CZK DKK HKD HUF ILS INR ISK JPY KRW MXN NOK NZD PLN RON SEK SGD THB TRY ZAR'.split(
    ' ',
  );
