import { MessageCirclePlus } from 'lucide-react';
import { Link } from 'react-router';

/** From where a word or a search is noticed to where it is said what it means. */
export function TeachLink({
  says,
  done,
  className = '',
}: {
  readonly says: string;
  /** Called as it is followed: for closing what it stands in. */
  done?(): void;
  readonly className?: string;
}) {
  return (
    <Link
      to={`/vocabulary?say=${encodeURIComponent(says)}`}
      onClick={done}
      className={`inline-flex min-h-6 items-center gap-1 text-[12.5px] text-press underline ${className}`}
    >
      <MessageCirclePlus size={13} aria-hidden />
      Say what “{says}” means
    </Link>
  );
}
