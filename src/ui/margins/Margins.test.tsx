/** @jest-environment jsdom */
import { render, screen } from '@testing-library/react';
import { NO_VARIATION, type Problem } from '@/document';
import { demoFile } from '@/document/testing/demo';
import { runOf } from '@/document/testing/demo-runs';
import type { Run } from '@/core/plan';
import { NO_SURVEY } from '../hooks/use-look';
import { WorkspaceProvider } from '../state/context';
import { workspaceOf } from '../testing/workspace-of';
import { Margins } from './Margins';

const file = demoFile('alongside-wind-off');
const STOPPED: Problem = {
  path: '(worker)',
  message: 'the computation stopped; it is begun again',
};
const told = (run: Run | null, ...problems: Problem[]) => {
  render(
    <WorkspaceProvider store={workspaceOf(file)}>
      <Margins
        state={{ run, file, problems }}
        survey={NO_SURVEY}
        surveyed={false}
        variation={NO_VARIATION}
      />
    </WorkspaceProvider>,
  );
  return screen.getByRole('alert').textContent;
};

it('tells a plan that cannot be played from a computation that ended', () => {
  const run = runOf(file);
  expect(told(run, STOPPED)).toBe(
    'This was not played; an earlier run is shown.the computation stopped; it is begun again',
  );
});

it('names the field of what cannot be played', () => {
  const wrong = { path: 'plan.steps[2].orders[0].angle_deg', message: 'at most 90°' };
  const said = told(null, wrong);
  expect(said).toMatch(/^This cannot be played\.at most 90°: /);
  expect(screen.queryByTestId('outcome')).toBeNull();
});
