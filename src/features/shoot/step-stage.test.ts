/** @jest-environment jsdom */
import { stepStage } from './step-stage';

const staged = () => {
  const stage = stepStage();
  const place = document.createElement('div');
  (['light', 'kit'] as const).forEach((screen) => {
    const page = document.createElement('main');
    page.textContent = screen;
    page.style.setProperty('display', 'none', 'important');
    stage.hostOf(screen).append(page);
  });
  stage.setPlace(place);
  const hidden = () => place.querySelector('main')?.style.display === 'none';
  return { stage, place, hidden };
};

test('one step stands in the place, in an element of its own that stays the same', () => {
  const { stage, place } = staged();
  const light = stage.hostOf('light');
  stage.show('light');
  stage.show('kit');
  expect(place.textContent).toBe('kit');
  stage.show('light');
  expect([...place.children]).toEqual([light]);
});

test('what stands there is left alone when it is shown again', () => {
  const { stage, place } = staged();
  stage.show('light');
  const replace = jest.spyOn(place, 'replaceChildren');
  stage.show('light');
  expect(replace).not.toHaveBeenCalled();
});

test('a step made ready is hidden until it is revealed', () => {
  const { stage, place, hidden } = staged();
  stage.show('light');
  expect(hidden()).toBe(true);
  stage.reveal('light');
  expect(hidden()).toBe(false);
  stage.reveal('kit');
  expect(place.textContent).toBe('kit');
  expect(hidden()).toBe(false);
});

test('without a place in the page nothing is shown, nor lost', () => {
  const { stage, place } = staged();
  stage.setPlace(null);
  stage.reveal('light');
  expect(place.textContent).toBe('');
  stage.setPlace(place);
  stage.show('light');
  expect(place.textContent).toBe('light');
});
