import { useState } from 'react';
import type { Card } from '../../core/answer/answer.ts';
import { useShopperAround } from './shopperHere.tsx';

/** A card as it stands with one of its variants chosen on it; the product's page then begins with that one. */
export function useChosenVariant(card: Card, open: (() => void) | undefined) {
  const shopper = useShopperAround();
  const [chosen, choose] = useState(card.id);
  const choice = card.choices?.of.find(({ id }) => id === chosen);
  if (!choice) return { card, choose, open };
  const { id, sku, price, formerPrice, available, picture } = choice;
  return {
    card: { ...card, id, sku, price, formerPrice, variantAvailable: available, picture: picture ?? card.picture },
    choose,
    open:
      open &&
      (() => {
        if (id !== card.id) shopper?.chooseVariant(card.familyId, id);
        open();
      }),
  };
}
