import { render, screen } from '@testing-library/react-native';
import { daylight } from '@/core';
import { LitBall } from './LitBall';
import { SmearRuler } from './SmearRuler';
import { StopBudget } from './StopBudget';

test('the lit ball says in words what it shows', () => {
  render(
    <LitBall
      sizePx={64}
      label="Ball lit as the camera sees it: front light"
      light={{
        daylight: daylight({ sunAltitudeDeg: 20, sky: 'clear' }),
        sun: { azimuthDeg: 180, altitudeDeg: 20 },
        sunlit: true,
        groundReflectance: 0.2,
        lampLux: 0,
        toCameraDeg: 180,
      }}
    />,
  );
  expect(screen.getByLabelText('Ball lit as the camera sees it: front light')).toBeTruthy();
});

test('the smear ruler gives each part its pixels and its grade', () => {
  const part = {
    part: 'foot',
    role: 'limb' as const,
    onSubjectMm: 11,
    onSensorMm: 0.05,
    sensorPx: 8,
    deliveredPx: 2.84,
    shareOfSubject: 0.006,
    circles: 1.7,
    grade: 'crisp' as const,
    trackMm: [],
  };
  render(<SmearRuler smear={[part]} widthPx={300} gradeWord={({ grade }) => grade} />);
  expect(screen.getByText('foot')).toBeTruthy();
  expect(screen.getByText('2.8 px')).toBeTruthy();
});

test('the stop budget signs what gives and what takes', () => {
  const bars = [
    { name: 'light on the face', stops: 8, note: 'EV 8.0', gives: true },
    { name: 'shutter', stops: 10.7, note: '1/1600', gives: false },
  ];
  render(<StopBudget bars={bars} widthPx={300} />);
  expect(screen.getByText('+8.0')).toBeTruthy();
  expect(screen.getByText('−10.7')).toBeTruthy();
});
