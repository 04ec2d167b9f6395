import { contrastOf, readable } from '../../../../core/look/contrast.ts';
import { paletteOf } from '../../../../core/look/palette.ts';
import { type LookPreset, presets } from '../../../../core/look/presets.ts';
import type { Look } from '../../../../core/setup/parts/look.ts';
import {
  cornerLimits,
  densities,
  densityNames,
  type LookColours,
  letterKinds,
  letterNames,
} from '../../../../core/setup/terms/lookTerms.ts';
import { Choice, NumberField, Switch } from '../../parts/Controls.tsx';
import { Section, shelfRow } from '../../parts/Screen.tsx';
import { useItemChanged } from '../../state/changed.ts';
import { useDeskState } from '../../state/deskState.ts';
import { edit } from '../../state/edits.ts';
import { ColourField } from './ColourField.tsx';
import { ColoursFromFile } from './ColoursFromFile.tsx';
import { ColoursFromPage } from './ColoursFromPage.tsx';

/** The colours that come with the shop, as the three that others are made of. */
const ownColours: LookColours = { ground: '#ffffff', text: '#1e2530', accent: '#263b7a' };
const letters = letterKinds.map((kind) => [kind, letterNames[kind]] as const);

/** How the shop looks: a whole look to begin with, then its colours, letters, corners and room. */
export function LookFields() {
  const { shop } = useDeskState().setup.look;
  const isChanged = useItemChanged('look', 'shop');
  const save = (change: Partial<Look>): void => void edit({ part: 'look', key: 'shop', value: { ...shop, ...change } });
  const changed = (fields: readonly (keyof Look)[]): boolean =>
    fields.some((field) => isChanged((entry) => (entry as Look | null)?.[field]));
  const row = (...fields: readonly (keyof Look)[]): string =>
    `${shelfRow(changed(fields))} flex flex-wrap items-center gap-x-5 gap-y-2 px-3 py-2 text-[13px]`;
  return (
    <>
      <Section
        title="Begin with"
        note="Each sets colours, letters, corners and room at once; then change what you like."
      >
        <ul className="grid grid-cols-2 gap-[7px] min-[520px]:grid-cols-3">
          {presets.map((preset) => (
            <li key={preset.id}>
              <Preset preset={preset} isOn={isLike(shop, preset)} take={() => save(valuesOf(preset))} />
            </li>
          ))}
        </ul>
      </Section>
      <Section
        title="Colours"
        note="All others are made of these three. What would be too faint to read is made stronger for shoppers."
      >
        <div className="space-y-[5px]">
          <div className={row('colours')}>
            <Colours colours={shop.colours ?? ownColours} change={(colours) => save({ colours })} />
            <ColoursFromFile before={shop.colours ?? ownColours} take={(colours) => save({ colours })} />
            <ColoursFromPage before={shop.colours ?? ownColours} take={(colours) => save({ colours })} />
          </div>
          <div className={row('hasDark')}>
            <Switch
              label="Dark pages"
              shown="Shoppers whose machine asks for dark pages get one; within your own pages only where those say so"
              isOn={shop.hasDark}
              change={(hasDark) => save({ hasDark })}
            />
          </div>
        </div>
      </Section>
      <Section title="Letters, corners, room">
        <div className="space-y-[5px]">
          <div className={row('text', 'headings')}>
            <span>
              Texts in{' '}
              <Choice label="Letters of texts" value={shop.text} options={letters} change={(text) => save({ text })} />
            </span>
            <span>
              Headings and titles in{' '}
              <Choice
                label="Letters of headings and titles"
                value={shop.headings}
                options={letters}
                change={(headings) => save({ headings })}
              />
            </span>
          </div>
          <div className={row('corners', 'density')}>
            <span>
              Corners{' '}
              <NumberField
                label="How round corners are, in pixels"
                value={shop.corners}
                {...cornerLimits}
                change={(corners) => save({ corners: Math.round(corners) })}
              />{' '}
              pixels round
            </span>
            <span>
              Things stand{' '}
              <Choice
                label="How much room there is"
                value={shop.density}
                options={densities.map((density) => [density, densityNames[density]] as const)}
                change={(density) => save({ density })}
              />
            </span>
          </div>
        </div>
      </Section>
    </>
  );
}

const valuesOf = ({ colours, text, headings, corners, density }: LookPreset) => ({
  ...{ colours, text, headings, corners, density },
});
const isLike = (look: Look, preset: LookPreset): boolean =>
  Object.entries(valuesOf(preset)).every(
    ([name, value]) => JSON.stringify(look[name as keyof Look]) === JSON.stringify(value),
  );

function Preset({
  preset: { name, colours },
  isOn,
  take,
}: {
  readonly preset: LookPreset;
  readonly isOn: boolean;
  take(): void;
}) {
  const palette = paletteOf(colours ?? ownColours);
  return (
    <button
      type="button"
      aria-pressed={isOn}
      className="flex w-full items-center gap-2 rounded-lg border bg-surface px-2.5 py-1.5 text-left font-semibold hover:border-edge aria-pressed:border-edge aria-pressed:ring-1 aria-pressed:ring-edge"
      onClick={take}
    >
      <span aria-hidden className="flex overflow-hidden rounded border">
        {(['surface', 'ink', 'press'] as const).map((each) => (
          <span key={each} className="h-5 w-3.5" style={{ background: palette[each] }} />
        ))}
      </span>
      {name}
    </button>
  );
}

function Colours({ colours, change }: { readonly colours: LookColours; change(colours: LookColours): void }) {
  const palette = paletteOf(colours);
  const told = (colour: string, shown: string): string => {
    const contrast = contrastOf(colour, colours.ground).toFixed(1);
    return shown === colour
      ? `${contrast} to 1 on the ground: can be read`
      : `${contrast} to 1 on the ground, below ${readable}: shoppers get ${shown} instead`;
  };
  return (
    <div className="grid w-full gap-y-2">
      <ColourField label="Ground" value={colours.ground} change={(ground) => change({ ...colours, ground })} />
      <ColourField
        label="Text"
        value={colours.text}
        told={told(colours.text, palette.ink)}
        isFaint={palette.ink !== colours.text}
        change={(text) => change({ ...colours, text })}
      />
      <ColourField
        label="Links and buttons"
        value={colours.accent}
        told={told(colours.accent, palette.press)}
        isFaint={palette.press !== colours.accent}
        change={(accent) => change({ ...colours, accent })}
      />
    </div>
  );
}
