import { useCollections } from '../state/collections.ts';
import { Chip } from './Chip.tsx';
import { Picker, PickerItem } from './Picker.tsx';

/** Collections offered at a time: who wants another one types a part of its title. */
const mostOffered = 60;

/** Collections that are chosen, each with a way to take it off, and the way to choose more. */
export function CollectionChips({
  label,
  chosen,
  most = Number.POSITIVE_INFINITY,
  change,
}: {
  /** What choosing one more is called. */
  readonly label: string;
  readonly chosen: readonly string[];
  readonly most?: number;
  change(chosen: string[]): void;
}) {
  const known = useCollections();
  return (
    <>
      {chosen.map((id) => {
        const title = known.find((each) => each.id === id)?.title ?? id;
        return (
          <Chip key={id} takeOff={`Take ${title} off`} remove={() => change(chosen.filter((each) => each !== id))}>
            {title}
          </Chip>
        );
      })}
      {chosen.length < most && (
        <Picker label={label} find="Collections" placeholder="Type a collection" isSmall>
          {(typed, close) =>
            known
              .filter(({ title }) => title.toLowerCase().includes(typed.toLowerCase()))
              .slice(0, mostOffered)
              .map(({ id, title }) => (
                <PickerItem
                  key={id}
                  value={id}
                  isChosen={chosen.includes(id)}
                  choose={() => {
                    close();
                    change([...chosen, id]);
                  }}
                >
                  {title}
                </PickerItem>
              ))
          }
        </Picker>
      )}
    </>
  );
}
