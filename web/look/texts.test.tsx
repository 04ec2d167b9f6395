/** @jest-environment ./web/testing/domEnvironment.cjs */
import { describe, expect, test } from '@jest/globals';
import { render, screen } from '@testing-library/react';
import { english, textsIn } from './texts.tsx';

const german = textsIn('de', 'DE');

describe('texts of the shop', () => {
  test('have the plural of their language', () => {
    expect([1, 2, 1200].map((count) => english.say('products', { count }))).toEqual([
      ...['1 product', '2 products', '1,200 products'],
    ]);
    expect([1, 1200].map((count) => german.say('products', { count }))).toEqual(['1 Produkt', '1.200 Produkte']);
  });
  test('write money and lists as their country does', () => {
    expect(german.money(4.5, 'EUR').replace(/\s/, ' ')).toBe('4,50 €');
    expect(english.money(5, 'GBP', true)).toBe('£5');
    expect(english.money(5.5, 'GBP', true)).toBe('£5.50');
    expect([english.quoted(['a', 'b', 'c']), german.quoted(['a', 'b'])]).toEqual(['“a”, “b” and “c”', '„a“ und „b“']);
  });
  test('put what a shopper typed there as text', () => {
    render(<p>{english.rich('notice.instead', { shown: '<i>ink', search: '{x}' })}</p>);
    expect(screen.getByText('<i>ink').tagName).toBe('B');
    expect(document.body.textContent).toBe('Showing results for <i>ink instead of “{x}”.');
  });
  test('offer one of several', () => {
    const offers = ['ink', 'pen', 'pad'].map((key) => ({ key, shown: <button type="button">{key}</button> }));
    render(<section>{english.rich('notice.meant', { offers: english.anyOf(offers) })}</section>);
    expect(screen.getAllByRole('button')).toHaveLength(3);
    expect(document.querySelector('section')!.textContent).toBe('Did you mean ink, pen or pad?');
  });
  test('are the merchandiser’s own where these can be read, else those that come with the shop', () => {
    const say = (text: string): string => textsIn('en', 'GB', { 'results.sort': text }).say('results.sort');
    expect(say('Order')).toBe('Order');
    expect([say('Order {by}'), say('{')]).toEqual(['Sort by', 'Sort by']);
  });
  test('keep the capitals of German names', () =>
    expect([german.inText('Farbe'), english.inText('Colour')]).toEqual(['Farbe', 'colour']));
});
