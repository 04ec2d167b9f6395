/** @jest-environment ./web/testing/domEnvironment.cjs */
import { expect, test } from '@jest/globals';
import { fireEvent, screen } from '@testing-library/react';
import { show } from '../testing/dom.tsx';
import { ProductPicture } from './ProductPicture.tsx';

test('a picture that cannot be fetched gives way to a drawn one that says so; another picture is tried again', () => {
  const { container, rerender } = show(<ProductPicture src="/pictures/of/a?mark=1" className="h-8" />);
  fireEvent.error(container.querySelector('img')!);
  expect(screen.getByRole('img', { name: 'The picture could not be fetched' })).toBeDefined();
  rerender(<ProductPicture src="/pictures/of/a?mark=2" className="h-8" />);
  expect(container.querySelector('img')?.getAttribute('src')).toBe('/pictures/of/a?mark=2&width=320');
});

test('without a picture there is a drawn one; in lists it is not read out for every row', () => {
  show(<ProductPicture src={null} className="h-8" />);
  expect(screen.getByRole('img', { name: 'No picture' })).toBeDefined();
  show(<ProductPicture src={null} className="h-8" isSmall />);
  expect(screen.queryByRole('img')).toBeNull();
});
