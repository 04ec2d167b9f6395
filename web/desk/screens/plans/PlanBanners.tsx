import { Plus, X } from 'lucide-react';
import type { ShelfPlan } from '../../../../core/setup/parts/plans.ts';
import { longest, most } from '../../../../core/setup/terms/limits.ts';
import type { BannerPlace } from '../../../../core/setup/terms/planTerms.ts';
import { AddressField } from '../../parts/AddressField.tsx';
import { Button, IconButton } from '../../parts/Button.tsx';
import { Choice, NumberField, TextField } from '../../parts/Controls.tsx';
import { PictureField } from '../../parts/PictureField.tsx';
import { Section, shelfRow } from '../../parts/Screen.tsx';
import { type OfPlan, unlessEmpty } from './planPart.ts';

type Banner = NonNullable<ShelfPlan['banners']>[number];
const places = [
  ['above', 'over the results'],
  ['grid', 'among them, at place'],
  ['below', 'under the results'],
] as const;

/** What the plan says to shoppers beside the products. */
export function PlanBanners({ plan, save, isChanged }: OfPlan) {
  const banners = plan.banners ?? [];
  const set = (list: readonly Banner[]): void => save({ ...plan, banners: unlessEmpty(list) });
  return (
    <Section
      title="Banners"
      note="A sentence to shoppers, with a link where it leads somewhere and a picture, by its address or from a file."
    >
      <ul className="space-y-[5px]" aria-label="Banners">
        {banners.map((banner, at) => {
          const change = (to: Partial<Banner>): void =>
            set(banners.map((each, index) => (index === at ? { ...each, ...to } : each)));
          return (
            <li
              // biome-ignore lint/suspicious/noArrayIndexKey: a banner has no name of its own
              key={at}
              className={`${shelfRow(isChanged)} flex flex-wrap items-center gap-2 py-1.5 pr-2 pl-3 text-[13px]`}
            >
              <TextField
                label={`Text of banner ${at + 1}`}
                className="min-w-[220px] flex-1"
                maxLength={longest.banner}
                value={banner.text}
                change={(text) => change({ text })}
              />
              <IconButton
                label={`Remove banner ${at + 1}`}
                onClick={() => set(banners.filter((_, index) => index !== at))}
              >
                <X size={15} aria-hidden />
              </IconButton>
              <span className="flex w-full flex-wrap items-center gap-2">
                <Choice<BannerPlace>
                  label={`Where banner ${at + 1} stands`}
                  value={banner.where}
                  options={places}
                  change={(where) => change({ where })}
                />
                {banner.where === 'grid' && (
                  <NumberField
                    label={`Place of banner ${at + 1}`}
                    className="w-[56px]"
                    value={banner.place}
                    least={1}
                    most={most.place}
                    change={(place) => change({ place: Math.round(place) })}
                  />
                )}
                <AddressField
                  label={`Link of banner ${at + 1}`}
                  placeholder="leads nowhere"
                  className="min-w-[160px] flex-1"
                  maxLength={longest.link}
                  value={banner.link ?? ''}
                  change={(link) => change({ link: link === '' ? undefined : link })}
                />
                <PictureField
                  label={`Picture of banner ${at + 1}`}
                  placeholder="no picture"
                  className="min-w-[220px] flex-1"
                  maxLength={longest.link}
                  value={banner.picture ?? ''}
                  change={(picture) => change({ picture: picture === '' ? undefined : picture })}
                />
              </span>
            </li>
          );
        })}
      </ul>
      {banners.length < most.banners && (
        <Button
          className="mt-2"
          onClick={() => set([...banners, { where: 'above', place: 3, text: `Something about ${plan.name}` }])}
        >
          <Plus size={15} aria-hidden /> Add a banner
        </Button>
      )}
    </Section>
  );
}
