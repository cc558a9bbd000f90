import { fireEvent, screen, within } from '@testing-library/react';
import { describe, expect, test } from 'vitest';
import { draw, pick } from '../../../../tests/make/page';
import { USUAL_LIMITS } from '../../../core/changes';
import type { NegativeListInfo } from '../../../contract/words';
import { ListCampaigns } from './ListCampaigns';
import { ListTerms } from './ListTerms';

const LIST: NegativeListInfo = {
  id: 1,
  name: 'never',
  terms: [
    { match: 'exact', expression: 'used jar' },
    { match: 'phrase', expression: 'repair' },
  ],
  campaignIds: [4, 9],
  missing: [],
  heldByCampaign: [2, 1],
  heldByTerm: [2, 1],
  excess: [],
};
const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));

describe('the terms of a list', () => {
  function form() {
    const kept: NegativeListInfo['terms'][] = [];
    draw(<ListTerms list={LIST} limits={USUAL_LIMITS} onTerms={(terms) => kept.push(terms)} />);
    const paste = (value: string) =>
      fireEvent.change(screen.getByLabelText('Terms to add'), { target: { value } });
    return { kept, paste };
  }

  test('are pasted one a line; what the list holds already is passed over, item codes are known by themselves', () => {
    const { kept, paste } = form();
    paste('Used  JAR\nbroken lid\n\nbroken lid\nQ7BC12D3F4');
    press('Add 2');
    expect(kept).toEqual([
      [
        ...LIST.terms,
        { match: 'exact', expression: expect.stringMatching(/^broken lid$/i) },
        { match: 'item', expression: expect.stringMatching(/^q7bc12d3f4$/i) },
      ],
    ]);
    expect((screen.getByLabelText('Terms to add') as HTMLTextAreaElement).value).toBe('');
  });

  test('are blocked by the match that is chosen', () => {
    const { kept, paste } = form();
    pick('Match', 'phrase');
    paste('used jar');
    press('Add 1');
    expect(kept[0].at(-1)).toEqual({ match: 'phrase', expression: 'used jar' });
  });

  test('that are all there say so, and those the market would refuse say why', () => {
    const { kept, paste } = form();
    paste('used jar');
    expect(screen.getByText('The list holds all of these.')).toBeTruthy();
    paste(Array.from({ length: 40 }, (_, at) => `word${at}`).join(' '));
    expect(screen.getAllByText(/^▲ “word0/)).not.toHaveLength(0);
    expect((screen.getByRole('button', { name: /^Add/ }) as HTMLButtonElement).disabled).toBe(true);
    expect(kept).toEqual([]);
  });

  test('show in how many campaigns each holds, and are taken off one by one', () => {
    const { kept } = form();
    const [, first, second] = screen.getAllByRole('row');
    expect([first, second].map((row) => within(row).getAllByRole('cell')[2].textContent)).toEqual([
      '2 of 2',
      '1 of 2',
    ]);
    press('Take used jar off');
    expect(kept).toEqual([[LIST.terms[1]]]);
  });
});

describe('the campaigns of a list', () => {
  function form(count = 3) {
    const kept: number[][] = [];
    const some = [
      { id: 2, name: 'Lids – auto', state: 'enabled' },
      { id: 4, name: 'Jars – auto', state: 'enabled' },
      { id: 9, name: 'Jars – exact', state: 'paused' },
    ];
    const more = Array.from({ length: count - 3 }, (_, at) => ({
      id: 100 + at,
      name: `C ${at}`,
      state: 'enabled',
    }));
    draw(<ListCampaigns list={LIST} campaigns={[...some, ...more]} onCampaigns={(ids) => kept.push(ids)} />);
    return kept;
  }
  const names = () => screen.getAllByRole('checkbox').map((box) => box.closest('label')!.textContent.trim());

  test('that it is kept over come first, each with how much of it holds there', () => {
    form();
    expect(names()).toEqual(['Jars – auto', 'Jars – exact · paused', 'Lids – auto']);
    expect(screen.getAllByRole('row')[1].textContent).toContain('2 of 2');
    expect(screen.getAllByRole('row')[2].textContent).toContain('1 of 2');
  });

  test('are found by any spelling, and taken one by one or all that are found', () => {
    const kept = form();
    fireEvent.change(screen.getByLabelText('Find campaigns'), { target: { value: 'LIDS' } });
    expect(names()).toEqual(['Lids – auto']);
    press('Keep it over these 1');
    fireEvent.change(screen.getByLabelText('Find campaigns'), { target: { value: '' } });
    fireEvent.click(screen.getByLabelText(/Jars – auto/));
    fireEvent.click(screen.getByLabelText(/Lids – auto/));
    expect(kept).toEqual([[4, 9, 2], [9], [4, 9, 2]]);
  });

  test('of thousands are not all drawn, and all found', () => {
    form(2000);
    expect(document.querySelectorAll('input[type=checkbox]')).toHaveLength(300);
    expect(screen.getByText('and 1,700 more')).toBeTruthy();
    fireEvent.change(screen.getByLabelText('Find campaigns'), { target: { value: 'C 1996' } });
    expect(names()).toEqual(['C 1996']);
  });
});
