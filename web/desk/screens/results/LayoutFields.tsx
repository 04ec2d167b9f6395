import type { Layout } from '../../../../core/setup/parts/resultsPage.ts';
import {
  apartLimits,
  atOnceLimits,
  fitNames,
  inRowLimits,
  type LayoutRoom,
  layoutRooms,
  layoutShapes,
  layoutWays,
  pictureFits,
  pictureLimits,
  shapeNames,
  usuallyApart,
  wayNames,
} from '../../../../core/setup/terms/layoutTerms.ts';
import { Choice, NumberField, Switch } from '../../parts/Controls.tsx';
import { Section, shelfRow } from '../../parts/Screen.tsx';
import { useItemChanged } from '../../state/changed.ts';
import { useDeskState } from '../../state/deskState.ts';
import { edit } from '../../state/edits.ts';
import { BeforeSearch } from './BeforeSearch.tsx';
import { ColourField } from './ColourField.tsx';

const rooms: readonly (readonly [LayoutRoom, string])[] = [
  ['narrow', `below ${layoutRooms.middle} pixels`],
  ['middle', `from ${layoutRooms.middle}`],
  ['wide', `from ${layoutRooms.wide}`],
];

/** What a ground of one's own begins with. */
const firstGround = '#f4f1ea';

/** How products stand on the page of results, and what follows them. */
export function LayoutFields() {
  const { layout } = useDeskState().setup.resultsPage;
  const isChanged = useItemChanged('resultsPage', 'layout');
  const save = (change: Partial<Layout>): void =>
    void edit({ part: 'resultsPage', key: 'layout', value: { ...layout, ...change } });
  const changed = (field: keyof Layout): boolean => isChanged((entry) => (entry as Layout | null)?.[field]);
  const row = (fields: readonly (keyof Layout)[]): string =>
    `${shelfRow(fields.some(changed))} flex flex-wrap items-center gap-x-5 gap-y-2 px-3 py-2 text-[13px]`;
  return (
    <>
      <Section
        title="How products stand"
        note="Room is what the results have themselves, beside filters, not the whole screen."
      >
        <div className="space-y-[5px]">
          <div className={row(['shape', 'inRow'])}>
            <span>
              Products stand as{' '}
              <Choice
                label="Products stand as"
                value={layout.shape}
                options={layoutShapes.map((shape) => [shape, shapeNames[shape]] as const)}
                change={(shape) => save({ shape })}
              />
            </span>
            {layout.shape === 'grid' && (
              <span className="flex flex-wrap items-center gap-x-3 gap-y-1">
                {rooms.map(([room, when]) => (
                  <span key={room}>
                    <NumberField
                      label={`Cards in a row, ${when}`}
                      value={layout.inRow[room]}
                      {...inRowLimits}
                      className="w-[46px]"
                      change={(inRow) => save({ inRow: { ...layout.inRow, [room]: Math.round(inRow) } })}
                    />{' '}
                    in a row {when}
                  </span>
                ))}
              </span>
            )}
          </div>
          <div className={row(['apart'])}>
            <span>
              Products stand{' '}
              <NumberField
                label="Pixels from one product to the next"
                value={layout.apart ?? usuallyApart}
                {...apartLimits}
                className="w-[56px]"
                change={(apart) => save({ apart: Math.round(apart) })}
              />{' '}
              pixels apart
            </span>
          </div>
          {layout.shape !== 'compact' && (
            <div className={row(['picture'])}>
              <span>
                Pictures{' '}
                <NumberField
                  label="Height of pictures in pixels"
                  value={layout.picture.height}
                  {...pictureLimits}
                  className="w-[60px]"
                  change={(height) => save({ picture: { ...layout.picture, height: Math.round(height) } })}
                />{' '}
                pixels high,{' '}
                <Choice
                  label="How pictures fit their place"
                  value={layout.picture.fit}
                  options={pictureFits.map((fit) => [fit, fitNames[fit]] as const)}
                  change={(fit) => save({ picture: { ...layout.picture, fit } })}
                />
              </span>
              <Ground
                ground={layout.picture.ground}
                save={(ground) => {
                  const { ground: _, ...picture } = layout.picture;
                  save({ picture: ground ? { ...picture, ground } : picture });
                }}
              />
            </div>
          )}
        </div>
      </Section>
      <BeforeSearch />
      <Section title="How many, and what follows">
        <div className={row(['atOnce', 'way'])}>
          <span>
            <NumberField
              label="Products shown at once"
              value={layout.atOnce}
              {...atOnceLimits}
              className="w-[56px]"
              change={(atOnce) => save({ atOnce: Math.round(atOnce) })}
            />{' '}
            products at once, then{' '}
            <Choice
              label="What follows the products shown at once"
              value={layout.way}
              options={layoutWays.map((way) => [way, wayNames[way]] as const)}
              change={(way) => save({ way })}
            />
          </span>
        </div>
      </Section>
    </>
  );
}

/** The ground behind pictures: the look's own, or a colour. */
function Ground({ ground, save }: { readonly ground: string | undefined; save(ground: string | undefined): void }) {
  return (
    <span className="flex flex-wrap items-center gap-x-3 gap-y-1.5">
      <Switch
        label="A ground of its own behind pictures"
        shown="on a ground of their own"
        isOn={ground !== undefined}
        change={(isOn) => save(isOn ? firstGround : undefined)}
      />
      {ground !== undefined && <ColourField label="Ground" value={ground} change={save} />}
    </span>
  );
}
