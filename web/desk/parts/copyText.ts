import { toast } from 'sonner';

/** Puts a text where the next paste takes it from, and says so; `what` names it, with a capital. */
export async function copyText(text: string, what: string): Promise<void> {
  try {
    await navigator.clipboard.writeText(text);
    toast(`${what} is copied`);
  } catch {
    toast.error(`${what} could not be copied`, { description: 'Select it and copy it by hand.' });
  }
}
