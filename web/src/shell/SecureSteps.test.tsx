import { screen } from '@testing-library/react';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { call } from '../api/lazyCall.ts';
import { freshDevice } from '../testing/device.ts';
import { inApp } from '../testing/inApp.tsx';
import { SecureSteps } from './SecureSteps.tsx';

const here = (more: object) => ({ publicUrl: null, trusted: false, addresses: [], code: null, secureAddresses: ['https://10.0.0.9:4311', `https://${location.hostname}:4311`], hasAuthority: true, ...more }); // prettier-ignore
const on = (isSecure: boolean, more: object = {}) => {
  vi.stubGlobal('isSecureContext', isSecure);
  vi.mocked(call).mockResolvedValue(here(more));
  inApp(<SecureSteps />, '/jobs/a');
};
beforeEach(freshDevice);
afterEach(() => void vi.stubGlobal('isSecureContext', true));

it('says what an address without HTTPS lacks, and leads to the one of the same machine, by its certificate', async () => {
  on(false);
  const link = await screen.findByRole('link', { name: /^https:/ });
  expect(link.getAttribute('href')).toBe(`https://${location.hostname}:4311${location.pathname}`);
  expect(screen.getByRole('link', { name: 'Download the certificate' }).getAttribute('href')).toBe('/authority.crt'); // prettier-ignore
  expect(screen.getByText('iPhone, iPad:')).toBeTruthy();
  expect(screen.getByText(/is not encrypted/)).toBeTruthy();
});

it('asks for no certificate where phones trust the given one already', async () => {
  on(false, { hasAuthority: false });
  await screen.findByRole('link', { name: /^https:/ });
  expect(screen.queryByRole('link', { name: 'Download the certificate' })).toBeNull();
});

it('says nothing where the page is encrypted', () => {
  on(true);
  expect(screen.queryByText(/is not encrypted/)).toBeNull();
});
