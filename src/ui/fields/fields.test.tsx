import { cleanup, fireEvent, render, screen, within } from '@testing-library/react';
import { useState } from 'react';
import { afterEach, describe, expect, it } from 'vitest';
import { type NumberQuestion, numberQuestion } from '@/core/findings/finding-kinds';
import { Choice } from './Choice';
import { ChoiceSet } from './ChoiceSet';
import { Field } from './Field';
import { GradeChoice } from './GradeChoice';
import { Measure } from './Measure';
import { MomentInput } from './MomentInput';
import { Select } from './Select';
import { Steps } from './Steps';

afterEach(cleanup);

/** A field that keeps what it is told, and says what that was. */
function Kept<T>({
  first,
  children,
}: {
  first: T;
  children: (value: T, put: (value: T) => void) => React.ReactNode;
}) {
  const [value, put] = useState(first);
  return (
    <>
      {children(value, put)}
      <output>{JSON.stringify(value ?? null)}</output>
    </>
  );
}
const kept = (): unknown => JSON.parse(screen.getByRole('status').textContent);

const LENGTH = numberQuestion('Foot length', 'mm', [80, 380], { plausible: [180, 320] });

function MeasureKept({ definition = LENGTH }: { definition?: NumberQuestion }) {
  return (
    <Kept<{ value?: number | undefined; typed?: string | undefined }> first={{}}>
      {({ value, typed }, put) => (
        <Measure
          definition={definition}
          value={value}
          typed={typed}
          onChange={(next, text) => put({ value: next, typed: text })}
        />
      )}
    </Kept>
  );
}
/** What is kept, and what the field shows, after typing and leaving it. */
function type(text: string) {
  const field = screen.getByLabelText('Foot length');
  fireEvent.change(field, { target: { value: text } });
  fireEvent.blur(field);
  return {
    kept: kept(),
    shows: (field as HTMLInputElement).value,
    invalid: field.getAttribute('aria-invalid'),
  };
}

describe('a measured number', () => {
  it.each([
    ['262', 262, '262'],
    ['26,2 cm', 262, '262'],
    ['10 5/16in', 261.9375, '261.94'],
    [' 262 mm ', 262, '262'],
    ['10½ in', 266.7, '266.7'],
  ])('%j is %d mm', (text, mm, shows) => {
    render(<MeasureKept />);
    const after = type(text);
    expect(after.kept).toEqual({ value: expect.closeTo(mm, 3) });
    expect(after.shows).toBe(shows);
    expect(after.invalid).toBeNull();
  });

  it.each(['long', '26 2 6 2', '2e9', '262 kg', '1/0 in', '-262'])(
    '%j stays as it was typed, and is no value',
    (text) => {
      render(<MeasureKept />);
      const after = type(text);
      expect(after.kept).toEqual({ typed: text });
      expect(after.shows).toBe(text);
      expect(after.invalid).toBe('true');
      expect(screen.getByLabelText('Foot length').getAttribute('aria-describedby')).toBeTruthy();
    },
  );

  it('a slip of the unit is refused with what was probably meant, one press away', () => {
    render(<MeasureKept />);
    expect(type('26.2').invalid).toBe('true');
    fireEvent.click(screen.getByRole('button', { name: /Take/ }));
    expect(kept()).toEqual({ value: 262 });
  });

  it('an unlikely value is taken, and the field asks whether it is so', () => {
    render(<MeasureKept />);
    const after = type('345');
    expect(after.kept).toEqual({ value: 345 });
    expect(after.invalid).toBeNull();
    expect(screen.getByText(/345 mm is unusual \(usually 180–320\)/)).toBeTruthy();
  });

  it('emptied, nothing is known again', () => {
    render(<MeasureKept />);
    type('262');
    expect(type('').kept).toEqual({});
    type('nonsense');
    expect(type('  ').kept).toEqual({});
  });

  it('nothing is said while somebody is still typing', () => {
    render(<MeasureKept />);
    fireEvent.change(screen.getByLabelText('Foot length'), { target: { value: '2' } });
    expect(screen.queryByText(/mm/, { selector: 'p' })).toBeNull();
  });
});

const ARCH = { low: 'low', medium: 'medium', high: 'high' };

describe('one of a few options', () => {
  const show = () =>
    render(
      <Kept<'low' | 'medium' | 'high' | undefined> first={undefined}>
        {(value, put) => <Choice label="Arch" options={ARCH} value={value} onChange={put} />}
      </Kept>,
    );

  it('is chosen by its digit, and a digit past the last is nobody’s', () => {
    show();
    const group = screen.getByRole('group', { name: 'Arch' });
    fireEvent.keyDown(group, { key: '2' });
    expect(kept()).toBe('medium');
    fireEvent.keyDown(group, { key: '4' });
    fireEvent.keyDown(group, { key: '0' });
    expect(kept()).toBe('medium');
  });

  it('pressing the chosen one again, Delete or Backspace leaves it not examined', () => {
    show();
    const group = screen.getByRole('group', { name: 'Arch' });
    const high = screen.getByRole('radio', { name: 'high' });
    for (const undo of [
      () => fireEvent.click(high),
      () => fireEvent.keyDown(group, { key: 'Delete' }),
      () => fireEvent.keyDown(group, { key: 'Backspace' }),
    ]) {
      fireEvent.click(high);
      expect(kept()).toBe('high');
      undo();
      expect(kept()).toBeNull();
    }
  });
});

describe('any number of options', () => {
  const show = () =>
    render(
      <Kept<('day' | 'race')[] | undefined> first={undefined}>
        {(value, put) => (
          <ChoiceSet label="Uses" options={{ day: 'day', race: 'race' }} value={value} onChange={put} />
        )}
      </Kept>,
    );
  const press = (name: string) => fireEvent.click(screen.getByRole('checkbox', { name }));

  it('“none” is an answer, and not the same as not asked', () => {
    show();
    expect(screen.getByText('not asked')).toBeTruthy();
    press('none');
    expect(kept()).toEqual([]);
    expect(screen.queryByText('not asked')).toBeNull();
    press('none');
    expect(kept()).toBeNull();
  });

  it('a first option takes “none” away; the last one taken back leaves it not asked', () => {
    show();
    press('none');
    press('day');
    press('race');
    expect(kept()).toEqual(['day', 'race']);
    expect(screen.getByRole('checkbox', { name: 'none' })).toHaveProperty('checked', false);
    press('day');
    press('race');
    expect(kept()).toBeNull();
  });
});

describe('whole steps and grades', () => {
  it('a run from −2 to +2 keeps its order and its signs', () => {
    render(
      <Kept<number | undefined> first={undefined}>
        {(value, put) => (
          <Steps
            label="Posture"
            definition={numberQuestion('Posture', 'count', [-2, 2], { whole: true })}
            value={value}
            onChange={put}
          />
        )}
      </Kept>,
    );
    expect(screen.getAllByRole('radio').map((radio) => radio.closest('label')!.textContent)).toEqual([
      '−2',
      '−1',
      '0',
      '+1',
      '+2',
    ]);
    fireEvent.keyDown(screen.getByRole('group', { name: 'Posture' }), { key: '1' });
    expect(kept()).toBe(-2);
  });

  it('a grade is its number, whatever its words', () => {
    render(
      <Kept<number | undefined> first={2}>
        {(value, put) => (
          <GradeChoice label="Rebound" anchors={['dead', 'some', 'lively']} value={value} onChange={put} />
        )}
      </Kept>,
    );
    expect(screen.getByRole('radio', { name: 'some' })).toHaveProperty('checked', true);
    fireEvent.click(screen.getByRole('radio', { name: 'lively' }));
    expect(kept()).toBe(3);
  });
});

describe('labels and errors', () => {
  it('a control is tied to its label and to what is wrong with it', () => {
    render(
      <Field label="Name" hint="as in the passport" error="Say a name.">
        {(control) => <input {...control} />}
      </Field>,
    );
    const field = screen.getByLabelText(/Name/);
    expect(field.getAttribute('aria-invalid')).toBe('true');
    expect(document.getElementById(field.getAttribute('aria-describedby')!)!.textContent).toBe('Say a name.');
  });

  it('two fields of one name do not share an id', () => {
    render(
      ['a', 'b'].map((key) => (
        <Field key={key} label="Room">
          {(control) => <input {...control} />}
        </Field>
      )),
    );
    const [first, second] = screen.getAllByLabelText('Room');
    expect(first!.id).not.toBe(second!.id);
  });

  it('a list without a choice has its own word for it, and gives nothing back', () => {
    render(
      <Kept<'men' | 'women' | undefined> first="men">
        {(value, put) => (
          <Select
            label="For"
            none="anybody"
            options={{ men: 'men', women: 'women' }}
            value={value}
            onChange={put}
          />
        )}
      </Kept>,
    );
    const list = screen.getByLabelText('For');
    expect(
      within(list)
        .getAllByRole('option')
        .map((option) => option.textContent),
    ).toEqual(['anybody', 'men', 'women']);
    fireEvent.change(list, { target: { value: '' } });
    expect(kept()).toBeNull();
  });
});

describe('a moment', () => {
  const show = () =>
    render(
      <Kept first="2031-06-08T08:00">
        {(value, put) => <MomentInput label="Reading 1" value={value} onChange={put} />}
      </Kept>,
    );
  const time = () => screen.getByLabelText<HTMLInputElement>('Reading 1: time');
  const write = (text: string) => fireEvent.change(time(), { target: { value: text } });

  it('is read as it is typed, and shown as 24 hours once it is left', () => {
    show();
    write('5:15 pm');
    expect(kept()).toBe('2031-06-08T17:15');
    fireEvent.blur(time());
    expect(time().value).toBe('17:15');
    fireEvent.change(screen.getByLabelText('Reading 1: day'), { target: { value: '9 Jun 2031' } });
    expect(kept()).toBe('2031-06-09T17:15');
  });

  it('that is none stays at its field with a word, and nothing is lost', () => {
    show();
    write('25:00');
    fireEvent.blur(time());
    expect(time().value).toBe('25:00');
    expect(time().getAttribute('aria-invalid')).toBe('true');
    expect(screen.getByText('Write a time, such as 17:30.')).toBeTruthy();
    expect(kept()).toBe('2031-06-08T08:00');
  });
});
