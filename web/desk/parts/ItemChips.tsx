import { Chip } from './Chip.tsx';
import { Picker, PickerItem } from './Picker.tsx';

/** Items offered at a time: who wants another one types a part of its title. */
const mostOffered = 60;

/** Things with a title that are chosen, each with a way to take it off, and the way to choose more. */
export function ItemChips({
  label,
  find,
  known,
  chosen,
  most = Number.POSITIVE_INFINITY,
  change,
}: {
  /** What choosing one more is called. */
  readonly label: string;
  /** What all of them are called. */
  readonly find: string;
  readonly known: readonly { readonly id: string; readonly title: string }[];
  readonly chosen: readonly string[];
  readonly most?: number;
  change(chosen: string[]): void;
}) {
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
        <Picker label={label} find={find} placeholder="Type a part of the title" isSmall>
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
