import demo from '../../../demo/tarn-hollow.json' with { type: 'json' };
import { blankSiteArea, evaluatePaces, blankPace, type SiteAreaInput } from '@steady-scatter/core/ground';
import { blankProduct, evaluateProduct, type ProductInput } from '@steady-scatter/core/products';
import { screen, waitFor } from '@testing-library/react';
import { useEffect, useState } from 'react';
import { beforeEach, describe, expect, it } from 'vitest';
import { ScaleReading } from '../bench/run/ScaleReading.tsx';
import { fieldsOfPart } from '../documents/fields.ts';
import { ProductForm } from '../products/ProductForm.tsx';
import { AreaFacts } from '../sites/AreaFacts.tsx';
import { formProps } from '../testing/formProps.ts';
import { inApp, keepDemo } from '../testing/inApp.tsx';
import { keepStation } from '../testing/stations.ts';

beforeEach(() => keepDemo());

describe('what is said of winter elsewhere', () => {
  it('a de-icer is its salt, how much of it, and how cold it works', async () => {
    const held: { input: ProductInput } = { input: blankProduct('dry-deicer', 'us') };
    function Form() {
      const [input, set] = useState(held.input);
      useEffect(() => void (held.input = input), [input]);
      return <ProductForm {...formProps(input, set)} />;
    }
    const person = inApp(<Form />);
    await person.selectOptions(screen.getByLabelText('Salt'), 'calcium chloride');
    await person.type(screen.getByLabelText('Works down to'), '-20');
    await person.type(screen.getByLabelText('Purity, % by weight'), '78');
    expect(evaluateProduct(held.input).deicer).toMatchObject({ salt: 'calcium-chloride', share: 0.78, limitC: expect.closeTo(-28.889, 3) }); // prettier-ignore
    await person.click(screen.getByRole('radio', { name: 'liquid de-icer' }));
    await person.type(screen.getByLabelText('Strength, % by weight'), '30');
    expect(evaluateProduct(held.input).deicer.share).toBeCloseTo(0.3, 9);
  });

  it('an area says whether it is treated, by whom, and what to keep off', async () => {
    const held: { area: SiteAreaInput } = { area: blankSiteArea('a', 'us') };
    function Facts() {
      const [area, set] = useState(held.area);
      useEffect(() => void (held.area = area), [area]);
      const errorAt = () => undefined;
      const props = { ...fieldsOfPart(area, set, errorAt), area, paces: evaluatePaces(blankPace('ft'), 'pace'), onChange: set, errorAt }; // prettier-ignore
      return <AreaFacts {...props} />;
    }
    const person = inApp(<Facts />);
    expect(screen.getByText('Not treated in winter')).toBeTruthy();
    await person.click(screen.getByRole('button', { name: 'Change winter' }));
    await person.selectOptions(screen.getByLabelText('In winter'), 'steps');
    await person.selectOptions(screen.getByLabelText('Treated by'), 'hand, with a scoop');
    await person.selectOptions(screen.getByLabelText('Priority'), '1, first');
    await person.type(screen.getByLabelText('Keep off'), 'Rail');
    expect(held.area.winter).toEqual({ use: 'steps', isByHand: true, priority: '1', keepOff: 'Rail', piles: '' }); // prettier-ignore
    expect(screen.getByText('In winter a flight of steps, by hand, priority 1')).toBeTruthy();
  });

  it('the sample says what each of its areas is in winter', () => {
    const areas = demo.sites.flatMap(({ input }) => input.areas as readonly { readonly winter: { readonly use: string } }[]); // prettier-ignore
    const used = areas.filter(({ winter }) => winter.use !== '');
    expect(new Set(used.map(({ winter }) => winter.use))).toEqual(new Set(['lot', 'walk', 'ramp', 'steps']));
  });
});

describe('a scale on the bench', () => {
  it('gives its weight once it rests, and says that it is made up', async () => {
    const weights: string[] = [];
    keepStation('scale', 0.826);
    const person = inApp(<ScaleReading unit="lb" onWeight={(text) => weights.push(text)} />);
    expect(screen.queryByText(/simulated/)).toBeNull();
    await person.click(screen.getByRole('button', { name: 'Read scale' }));
    await waitFor(() => expect(weights).toEqual(['1.82']));
    expect(screen.getByText('Bridge, simulated: not a real weight: 1.82 lb')).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Read scale' })).toBeTruthy();
  });

  it('waits while it moves', async () => {
    const weights: string[] = [];
    keepStation('scale', 0.9, 0.01);
    const person = inApp(<ScaleReading unit="kg" onWeight={(text) => weights.push(text)} />);
    await person.click(screen.getByRole('button', { name: 'Read scale' }));
    expect(await screen.findByText(/0\.90 kg, waiting until it rests/)).toBeTruthy();
    expect(weights).toEqual([]);
    await person.click(screen.getByRole('button', { name: 'Stop reading' }));
    expect(screen.queryByText(/waiting/)).toBeNull();
  });
});
