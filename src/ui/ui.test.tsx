import { fireEvent, render, screen } from '@testing-library/react';
import { Text as NativeText } from 'react-native';
import { Button } from './Button';
import { Choice } from './Choice';
import { Exposure, headlinePx } from './Exposure';
import { Field } from './Field';
import { Stepper } from './Stepper';
import { ToastProvider, useToast } from './Toast';

test('the headline is read out as one line of engraved figures', () => {
  render(<Exposure shutter="1/1250" aperture="f/2.8" iso="ISO 3200" />);
  expect(screen.getByLabelText('1/1250, f/2.8, ISO 3200')).toBeTruthy();
  expect(screen.getByText('/1250')).toBeTruthy();
});

test('a time of a second and longer is no fraction', () => {
  render(<Exposure shutter="2 s" aperture="f/8" iso="ISO 100" />);
  expect(screen.getByText('2 s')).toBeTruthy();
});

test('longer figures are set smaller, so that they stay on one line', () => {
  const short = headlinePx(['1/60', 'f/4', 'ISO 100'], 358, 46);
  const long = headlinePx(['1/16000', 'f/5.6', 'ISO 102400'], 358, 46);
  expect(short).toBe(46);
  expect(long).toBeLessThan(40);
  expect(long).toBeGreaterThan(25);
});

test('a choice says what is taken and tells of another', () => {
  const onChange = jest.fn();
  const options = [
    { value: 'clear', label: 'Clear' },
    { value: 'overcast', label: 'Overcast' },
  ];
  render(<Choice label="Sky" options={options} value="clear" onChange={onChange} />);
  const [clear, overcast] = screen.getAllByRole('radio');
  expect(clear?.getAttribute('aria-checked')).toBe('true');
  fireEvent.click(overcast as NonNullable<typeof overcast>);
  expect(onChange).toHaveBeenCalledWith('overcast');
});

test('a field shows its hint, and what to change in its place when it is wrong', () => {
  const { rerender } = render(<Field label="Latitude" hint="Degrees, north positive" value="95" />);
  expect(screen.getByText('Degrees, north positive')).toBeTruthy();
  rerender(
    <Field label="Latitude" hint="Degrees, north positive" error="must be 90 or less" value="95" />,
  );
  expect(screen.getByText('Change this: must be 90 or less')).toBeTruthy();
  expect(screen.queryByText('Degrees, north positive')).toBeNull();
});

test('a disabled button does nothing', () => {
  const onPress = jest.fn();
  render(<Button label="Rename" disabled onPress={onPress} />);
  fireEvent.click(screen.getByLabelText('Rename'));
  expect(onPress).not.toHaveBeenCalled();
});

describe('a toast', () => {
  beforeEach(() => jest.useFakeTimers());
  afterEach(() => jest.useRealTimers());
  const undo = jest.fn();
  function Deleter() {
    const say = useToast();
    return (
      <NativeText
        onPress={() => say({ text: 'Deleted', action: { label: 'Undo', onPress: undo } })}
      >
        go
      </NativeText>
    );
  }
  test('offers its one action once, then goes', () => {
    render(
      <ToastProvider>
        <Deleter />
      </ToastProvider>,
    );
    fireEvent.click(screen.getByText('go'));
    fireEvent.click(screen.getByText('Undo'));
    expect(undo).toHaveBeenCalledTimes(1);
    expect(screen.queryByText('Deleted')).toBeNull();
  });
});

test('presses faster than they are drawn count from one another, up to the end', () => {
  const onStep = jest.fn();
  render(<Stepper label="ISO" value={0} min={-1} max={2} valueText="ISO 100" onStep={onStep} />);
  const more = screen.getByLabelText('ISO: more');
  for (let i = 0; i < 5; i += 1) fireEvent.click(more);
  expect(onStep.mock.calls).toEqual([[1], [1]]);
  const less = screen.getByLabelText('ISO: less');
  for (let i = 0; i < 5; i += 1) fireEvent.click(less);
  expect(onStep.mock.calls.slice(2)).toEqual([[-1], [-1], [-1]]);
});
