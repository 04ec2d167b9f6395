import { ImageUp } from 'lucide-react';
import { useState } from 'react';
import { coloursInPicture } from '../../../../core/look/coloursInPicture.ts';
import type { LookColours } from '../../../../core/setup/terms/lookTerms.ts';
import { Button } from '../../parts/Button.tsx';
import { ChooseFile } from '../../parts/ChooseFile.tsx';
import { hexOf } from './hexOf.ts';

/** Pixels of a picture's longer side that are looked at: colours are as well seen in a small one. */
const lookedAt = 160;

async function pixelsOf(file: File): Promise<Uint8ClampedArray> {
  const picture = await createImageBitmap(file);
  const scale = Math.min(1, lookedAt / Math.max(picture.width, picture.height));
  const [width, height] = [picture.width, picture.height].map((side) => Math.max(1, Math.round(side * scale)));
  const drawn = new OffscreenCanvas(width!, height!).getContext('2d')!;
  drawn.drawImage(picture, 0, 0, width!, height!);
  picture.close();
  return drawn.getImageData(0, 0, width!, height!).data;
}

async function coloursOf(file: File, before: LookColours): Promise<LookColours | null> {
  if (!/\.css$/i.test(file.name) && file.type !== 'text/css') return coloursInPicture(await pixelsOf(file));
  const { coloursInStyle } = await import('../../../../core/look/coloursInStyle.ts');
  return coloursInStyle(await file.text(), before, hexOf);
}

/** Takes the shop's three colours from a picture, such as a photograph of its sign, or from a page's style sheet; both stay in the browser. */
export function ColoursFromFile({ before, take }: { readonly before: LookColours; take(colours: LookColours): void }) {
  const [problem, setProblem] = useState('');
  const look = async (file: File): Promise<void> => {
    const colours = await coloursOf(file, before).catch(() => null);
    setProblem(
      colours
        ? ''
        : `No colours can be seen in “${file.name}”. A JPEG, PNG, GIF or WebP picture has some, and a style sheet that colours the page.`,
    );
    if (colours) take(colours);
  };
  return (
    <div className="mt-1 text-[13px]">
      <ChooseFile label="File to take colours from" accept="image/*,.css" take={(file) => void look(file)}>
        {(choose) => (
          <Button className="py-1 text-[13px]" onClick={choose}>
            <ImageUp size={14} aria-hidden /> Take them from a picture or a style sheet …
          </Button>
        )}
      </ChooseFile>
      {problem !== '' && (
        <p role="alert" className="mt-1 text-wrong">
          {problem}
        </p>
      )}
    </div>
  );
}
