import { longText, plainText, shortText } from './fields';

it('a text loses what nobody can see and what turns other text about; letters of any script stay', () => {
  expect(shortText.parse('  Bell\u0007\u0000 buoy \u202eterces\u2069 ')).toBe('Bell buoy terces');
  expect(shortText.parse('two\nlines\tand a tab')).toBe('two lines and a tab');
  expect(longText.parse('two\nlines\u0008')).toBe('two\nlines');
  for (const name of ['Łódź', 'מזח', 'رصيف', '埠頭', 'Ⅳ ⚓'])
    expect([plainText(name), shortText.parse(name)]).toEqual([name, name]);
  expect(shortText.safeParse('\u0000\u0007').success).toBe(false);
});
