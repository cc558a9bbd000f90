import { render, screen } from '@testing-library/react';
import { expect, test } from 'vitest';
import { WhyAcos } from './WhyAcos';

const CHANGE = {
  before: 0.206,
  now: 0.2262,
  cpc: 0.004,
  conversion: 0.0242,
  orderValue: -0.008,
  mix: 0,
  once: 0,
};

test('what moved the ACOS is told in points that add up, the largest first, and what did nothing is left out', () => {
  render(<WhyAcos change={CHANGE} />);
  expect(screen.getByLabelText('Why the ACOS moved').textContent).toBe(
    'ACOS 20.6 % → 22.6 %, +2.0 points: conversion +2.4 points, order value −0.8 points, price per click +0.4 points.',
  );
});

test('nothing is said where there is nothing to compare with, or nothing moved', () => {
  const { container } = render(
    <>
      <WhyAcos change={null} />
      <WhyAcos change={{ ...CHANGE, now: 0.206, cpc: 0, conversion: 0, orderValue: 0 }} />
    </>,
  );
  expect(container.textContent).toBe('');
});
