import { describeChanges } from '../server/questions/describeChanges.ts';
import { type About, Failure, openWithCatalog, UsageError } from './usage.ts';

export async function publishCommand(
  data: string,
  rest: readonly string[],
  values: About & { readonly note: string; readonly json: boolean },
): Promise<void> {
  if (rest.length > 0) throw new UsageError('“publish” takes no further words.');
  const { ref, setups, names, writer } = openWithCatalog(data, values);
  const changes = setups.changes();
  const outcome = await writer.publish(ref, setups.revision(), 'Terminal', values.note, Date.now());
  if ('refusal' in outcome) {
    if (outcome.refusal.code !== 'nothing-to-publish')
      throw new Failure('The draft was changed at this moment; try again.');
    process.stdout.write(
      values.json ? '{"published":false}\n' : 'The draft holds nothing that is not published already.\n',
    );
    return;
  }
  const number = setups.liveNumber();
  const sentences = describeChanges(changes, names(setups.draft())).flatMap((change) => change.sentences);
  if (values.json)
    process.stdout.write(`${JSON.stringify({ published: true, release: number, changes: sentences })}\n`);
  else process.stdout.write(`Release ${number} is live.\n${sentences.map((sentence) => `  ${sentence}.\n`).join('')}`);
}
