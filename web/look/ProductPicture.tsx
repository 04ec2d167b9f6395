import { useState } from 'react';
import { sizedPicture } from './sizedPicture.ts';

/** A product's picture, or a drawn stand-in where it has none or it cannot be fetched. */
export function ProductPicture({
  src,
  className,
  isSmall = false,
  width = isSmall ? 160 : 320,
}: {
  readonly src: string | null;
  /** Height, and whatever else the place asks for. */
  readonly className: string;
  readonly isSmall?: boolean;
  /** CSS pixels it is wide at most. */
  readonly width?: number;
}) {
  const [failed, setFailed] = useState<string | null>(null);
  if (src !== null && failed !== src)
    return (
      <img
        {...sizedPicture(src, width)}
        alt=""
        loading="lazy"
        className={`max-w-full object-contain ${className}`}
        onError={() => setFailed(src)}
      />
    );
  return (
    <span
      {...(isSmall
        ? { 'aria-hidden': true }
        : { role: 'img', 'aria-label': src === null ? 'No picture' : 'The picture could not be fetched' })}
      className={`grid place-items-center text-[#565e6b] ${className}`}
    >
      <svg
        viewBox="0 0 64 48"
        aria-hidden="true"
        className={isSmall ? 'h-5' : 'h-14'}
        fill="none"
        stroke="currentColor"
      >
        <rect x="4" y="4" width="56" height="40" rx="3" strokeWidth="2" />
        <circle cx="46" cy="15" r="4" strokeWidth="2" />
        <path d="M9 39 24 20l11 13 6-7 14 13" strokeWidth="2" strokeLinejoin="round" />
        {src !== null && <path d="M12 46 52 2" strokeWidth="2" strokeLinecap="round" />}
      </svg>
    </span>
  );
}
