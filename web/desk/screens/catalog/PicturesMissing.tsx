import { ImageOff } from 'lucide-react';
import { counted } from '../../../look/price.ts';
import { useCatalog } from '../../state/catalog.ts';

const reasons: Readonly<Record<string, string>> = {
  'no-connection': 'there is no connection to it',
  'not-found': 'the pictures are not there',
  'not-allowed': 'it is not a public address',
  'too-slow': 'it took too long to answer',
  'too-large': 'the pictures are larger than 8 MB',
  'no-picture': 'what it sends is not a picture (JPEG, PNG, GIF, WebP or AVIF)',
};

/** How many pictures of other hosts could not be fetched, and why, since a shopper sees a stand-in for each. */
export function PicturesMissing() {
  const { data } = useCatalog();
  if (!data || data.pictures.failed === 0) return null;
  const { failed, hosts } = data.pictures;
  return (
    <div role="status" className="mb-3 flex items-start gap-2 rounded-lg bg-changed-soft px-3 py-2 text-on-changed">
      <ImageOff size={16} aria-hidden className="mt-[3px] shrink-0" />
      <div>
        <p>{counted(failed, 'picture')} could not be fetched. Shoppers see a drawn stand-in.</p>
        <ul className="text-[13px]">
          {hosts.map(({ host, failed: count, problem }) => (
            <li key={host}>
              {host} ({count}): {reasons[problem] ?? 'it could not be reached'}.
            </li>
          ))}
        </ul>
      </div>
    </div>
  );
}
