import { fireEvent, render, screen } from '@testing-library/react';
import { DialStepper } from './DialStepper';

test('a dial pressed faster than it is drawn turns a mark each time', () => {
  const onChange = jest.fn();
  render(<DialStepper kind="iso" value={800} least={100} most={1600} onChange={onChange} />);
  for (let i = 0; i < 3; i += 1) fireEvent.click(screen.getByLabelText('ISO: more'));
  // Exact values of the marks 1000, 1250 and 1600.
  expect(onChange.mock.calls.map(([iso]) => Math.round(Number(iso)))).toEqual([1008, 1270, 1600]);
});
