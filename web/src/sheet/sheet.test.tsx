import { screen, waitFor } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { keepDemo, onSheet, plainSheet } from '../testing/inApp.tsx';
import { SheetError } from './SheetError.tsx';
import { TypedTerm } from './TypedTerm.tsx';
import { useErrorAt, useSheet } from './sheet.tsx';

beforeEach(() => keepDemo());

const NAME = 'worksheet.need.amount';
const amount = () => screen.getByLabelText('Amount');
const Amount = () => (
  <>
    <TypedTerm name={NAME} label="Amount" placeholder="0.8" origin="typed" />
    <SheetError name={NAME} />
  </>
);

describe('what is wrong with a text of the sheet', () => {
  it('waits while that text is being typed, and is said when its field is left', async () => {
    const { person } = onSheet(<Amount />, plainSheet());
    await person.clear(amount());
    await person.type(amount(), 'plenty');
    expect(screen.queryByRole('alert')).toBeNull();
    await person.tab();
    expect((await screen.findByRole('alert')).textContent).toContain('This cannot be read as a weight per');
    expect(amount().getAttribute('aria-describedby')).toBe(screen.getByRole('alert').id);
  });

  it('is said at once of a field that nobody types in', async () => {
    function Elsewhere() {
      return <output>{useErrorAt()('areas.0.size') ? 'wrong' : 'right'}</output>;
    }
    const { person } = onSheet(
      <>
        <Amount />
        <Elsewhere />
      </>,
      plainSheet({ areas: [{ id: 'a', name: 'Lawn', size: 'wide', unit: 'ft2' }] }),
    );
    await person.type(amount(), '5');
    expect(screen.getByText('wrong')).toBeTruthy();
  });

  it('what would be right is typed by one act', async () => {
    const { person, worksheet } = onSheet(
      <SheetError name="worksheet.product.grade" />,
      plainSheet({}, { grade: '240-8' }),
    );
    await person.click(await screen.findByRole('button', { name: 'Use 24-0-8' }));
    expect(worksheet().product.grade).toBe('24-0-8');
    await waitFor(() => expect(screen.queryByRole('alert')).toBeNull());
  });
});

it('a key draws what reads the sheet anew once, with what it comes to; the first key of a field and the pause after it draw nothing more', async () => {
  const drawn = vi.fn<() => void>();
  function Reader() {
    drawn();
    return <output>{useSheet().worksheet.need.amount}</output>;
  }
  const { person } = onSheet(
    <>
      <Amount />
      <Reader />
    </>,
    plainSheet(),
  );
  await person.click(amount());
  drawn.mockClear();
  await person.keyboard('5');
  await waitFor(() => expect(screen.getByRole('status').textContent).toMatch(/5$/));
  await person.tab();
  expect(drawn).toHaveBeenCalledTimes(1);
});
