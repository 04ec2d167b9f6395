import { ImageUp, X } from 'lucide-react';
import { useState } from 'react';
import { toast } from 'sonner';
import { largestPicture } from '../../../api/limits.ts';
import { sendFile } from '../../client/call.ts';
import { ProductPicture } from '../../look/ProductPicture.tsx';
import { AddressField } from './AddressField.tsx';
import { Button, IconButton } from './Button.tsx';
import { ChooseFile } from './ChooseFile.tsx';

const kinds = 'image/jpeg,image/png,image/gif,image/webp,image/avif';
/** Where pictures brought in as files are found. */
const broughtIn = '/pictures/own/';
/** Whether a picture is shown from where it stands: those of other hosts are fetched by whoever is shown them. */
const isOwn = (address: string): boolean => address.startsWith('/') && !address.startsWith('//');

/** A picture for shoppers: by its address, or brought in as a file, which the server then keeps. */
export function PictureField({
  label,
  value,
  change,
  maxLength,
  placeholder,
  className = '',
}: {
  readonly label: string;
  readonly value: string;
  /** Empty for none. */
  change(address: string): void;
  readonly maxLength: number;
  readonly placeholder: string;
  readonly className?: string;
}) {
  const [isSending, setSending] = useState(false);
  const bring = async (file: File): Promise<void> => {
    if (file.size > largestPicture) {
      toast.error('This picture is too large', { description: `At most ${largestPicture / 1024 ** 2} MB are taken.` });
      return;
    }
    setSending(true);
    try {
      change((await sendFile('bringInPicture', {}, file)).address);
    } catch (error) {
      toast.error('The picture was not brought in', { description: (error as Error).message });
    }
    setSending(false);
  };
  return (
    <span className={`flex items-center gap-1.5 ${className}`}>
      {isOwn(value) && <ProductPicture src={value} className="h-7 w-9 shrink-0" isSmall />}
      {value.startsWith(broughtIn) ? (
        <>
          <span className="min-w-0 flex-1 truncate text-soft">brought in as a file</span>
          <IconButton label={`Take off: ${label}`} onClick={() => change('')}>
            <X size={15} />
          </IconButton>
        </>
      ) : (
        <AddressField
          label={label}
          placeholder={placeholder}
          className="min-w-0 flex-1"
          maxLength={maxLength}
          value={value}
          change={change}
        />
      )}
      <ChooseFile label={`${label}, from a file`} accept={kinds} take={(file) => void bring(file)}>
        {(choose) => (
          <Button
            tone="quiet"
            className="shrink-0 px-2 py-0.5 text-[13px]"
            aria-label={`From a file: ${label}`}
            disabled={isSending}
            onClick={choose}
          >
            <ImageUp size={14} aria-hidden /> {isSending ? 'Bringing it in …' : 'From a file'}
          </Button>
        )}
      </ChooseFile>
    </span>
  );
}
