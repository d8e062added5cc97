import { renderToStaticMarkup } from 'react-dom/server';
import { expect, it } from 'vitest';
import { definitionOf, isFindingId } from '@/core/findings/findings';
import { drawOption, OPTION_PICTURES } from './option-pictures';

it.each(Object.keys(OPTION_PICTURES).filter(isFindingId))(
  'each option of %s has a picture of its own',
  (id) => {
    const definition = definitionOf(id);
    if (definition.kind !== 'choice') throw new Error('Only a choice has options to draw.');
    const options = Object.keys(definition.options);
    const drawn = options.map((option) => renderToStaticMarkup(drawOption(id, 'right')?.(option)));
    expect(new Set(drawn).size).toBe(options.length);
    for (const picture of drawn) expect(picture).toMatch(/<(path|circle)/);
    // The other foot is its mirror.
    expect(renderToStaticMarkup(drawOption(id, 'left')?.(options[0]!))).toContain('scale(-1 1)');
  },
);

it('words alone stay words', () => expect(drawOption('sensation', 'left')).toBeUndefined());
