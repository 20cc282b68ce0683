import { field } from '@/core/2-document/edit/field';
import { describe, expect, test } from 'vitest';
import { demoDesign } from '#/demo';
import { blankDesign } from '@/core/2-document/starts';
import { withFields } from '@/core/2-document/edit/withFields';
import type { Finding } from '@/core/7-verdict/finding';
import { STAGE_LIST, stageState } from './stages';

const finding = (stage: Finding['stage'], severity: Finding['severity']): Finding => ({
  id: `${stage}-${severity}`,
  stage,
  severity,
  message: '',
  numbers: {},
  source: '',
  remedies: [],
});

describe('state of a stage', () => {
  const blank = blankDesign('New');

  test('nothing has begun on an empty sheet', () => {
    expect(STAGE_LIST.map(({ path }) => stageState(blank, [], path).state)).toEqual(
      STAGE_LIST.map(() => 'not started'),
    );
  });

  test('a word in the brief begins it', () => {
    expect(stageState(withFields(blank, [field('brief', 'purpose').to('soar')]), [], 'brief').state).toBe('in order');
  });

  test.each([
    ['lagoon-postman', 'tail', 'in order'],
    ['storm-courier', 'tail', 'in order'],
    ['tideline-plank', 'stability', 'in order'],
  ] as const)('%s: %s is %s', (name, stage, state) => {
    expect(stageState(demoDesign(name), [], stage).state).toBe(state);
  });

  test('the gravest finding of its own decides; notes are counted only', () => {
    const design = demoDesign('lagoon-postman');
    const list = [
      finding('wing', 'note'),
      finding('tail', 'caution'),
      finding('tail', 'stop'),
      finding('rigging', 'caution'),
    ];
    expect(stageState(design, list, 'wing')).toEqual({ state: 'in order', count: 1 });
    expect(stageState(design, list, 'tail')).toEqual({ state: 'stop', count: 2 });
    expect(stageState(design, list, 'rigging')).toEqual({ state: 'look again', count: 1 });
    expect(stageState(design, list, 'balance')).toEqual({ state: 'in order', count: 0 });
  });
});
