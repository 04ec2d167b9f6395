import { toast } from 'sonner';
import { safeLink } from '../../../core/catalog/safeLink.ts';
import { TextField } from './Controls.tsx';

/** An address that shoppers may be led to, or a picture's: what could run or show something else is refused at once. */
export function AddressField({
  label,
  value,
  change,
  ...others
}: {
  readonly label: string;
  readonly value: string;
  /** Empty for none. */
  change(address: string): void;
  readonly placeholder?: string;
  readonly className?: string;
  readonly maxLength: number;
}) {
  return (
    <TextField
      label={label}
      mayBeEmpty
      value={value}
      change={(address) => {
        if (address !== '' && safeLink(address) === '')
          toast.error('An address begins with https:// or with a slash', {
            description: 'Shoppers can be sent to a page of the web or of the shop only.',
          });
        else change(address);
      }}
      {...others}
    />
  );
}
