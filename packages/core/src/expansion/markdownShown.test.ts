import { markdownToPlain } from './markdown';
import { markdownShown } from '../model/markdownShown';
import { shownText, writtenText } from '../model/record';

describe('CommonMark at a glance', () => {
  // Read by mdast-util-from-markdown 2.1.0, which follows CommonMark 0.31.
  test.each([
    'Best wishes,\nAnsel Corrie\n**Corrie & Vale**',
    'plain text, 3 * 4 * 5, snake_case_name and a_b',
    '*so* and _so_, **very** and __very__',
    '# A heading\n\nand a line',
    'a `code` here',
    String.raw`no \*emphasis\* here, 1\. no list`,
    '- one\n- two',
    '2 ** 3 ** 4',
    'a line  \nwith a break',
    '“**quoted**”, (*brackets*)',
    '**Bold** *and* __bold__ `again`',
  ])('%j reads as the parser reads it', (source) => {
    expect(markdownShown(source)).toBe(markdownToPlain(source));
  });

  test.each([
    ['[Book a visit](https://book.corrieandvale.example)', 'Book a visit'],
    ['[Book](<https://a.example/b c> "now"), please', '[Book](<https://a.example/b c> "now"), please'],
    ['[Wiki](https://a.example/x_(y) "title") and ![plan](plan.png)', 'Wiki and plan'],
    ['[](https://a.example)', 'https://a.example'],
    ['Dear [Who it is for],', 'Dear [Who it is for],'],
    ['**[Book a visit](https://a.example)** · tuned', 'Book a visit · tuned'],
  ])('of the link in %j its label is shown', (source, shown) => {
    expect(markdownShown(source)).toBe(shown);
  });

  test('only a text that is set as Markdown is shown so, and what is written stays at hand', () => {
    const content = { expansion: '**so**', format: 'markdown' as const };
    expect(shownText({ content })).toBe('so');
    expect(shownText({ content: { ...content, format: 'plain' } })).toBe('**so**');
    expect(shownText({ content, sketch: 'Dear **[Name]**' })).toBe('Dear [Name]');
    expect(writtenText({ content, sketch: 'Dear **[Name]**' })).toBe('Dear **[Name]**');
  });
});
