import tokens from './tokens.json';

/** WCAG 2.2 relative luminance and contrast ratio. */
function luminance(hex: string): number {
  const [r, g, b] = [1, 3, 5].map((at) => {
    const c = Number.parseInt(hex.slice(at, at + 2), 16) / 255;
    return c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4;
  }) as [number, number, number];
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}
const contrast = (a: string, b: string) => {
  const [light, dark] = [luminance(a), luminance(b)].sort((x, y) => y - x) as [number, number];
  return (light + 0.05) / (dark + 0.05);
};

describe.each(['day', 'dark', 'hide'] as const)('%s', (scheme) => {
  const inks = tokens[scheme];
  test('figures stand 7:1 off the paper', () => {
    expect(contrast(inks.ink, inks.paper)).toBeGreaterThanOrEqual(7);
    expect(contrast(inks.ink, inks.sheet)).toBeGreaterThanOrEqual(7);
  });
  test('labels and signal stand 4.5:1 off the paper', () => {
    expect(contrast(inks.quiet, inks.paper)).toBeGreaterThanOrEqual(4.5);
    expect(contrast(inks.signal, inks.paper)).toBeGreaterThanOrEqual(4.5);
  });
});

test('shade on the plan can be told from the light in every brightness, and alike in both dark ones', () => {
  // As the plan lays it under a clear sky: 40 % of the way from paper to shade.
  const [day, dusk, hide] = (['day', 'dark', 'hide'] as const).map((scheme) => {
    const { paper, shade } = tokens[scheme];
    const tint = [1, 3, 5].map((at) => {
      const [from, to] = [paper, shade].map((hex) => Number.parseInt(hex.slice(at, at + 2), 16));
      return Math.round((from ?? 0) * 0.6 + (to ?? 0) * 0.4)
        .toString(16)
        .padStart(2, '0');
    });
    return contrast(paper, `#${tint.join('')}`);
  }) as [number, number, number];
  expect(day).toBeGreaterThan(1.5);
  expect(dusk).toBeGreaterThan(1.25);
  expect(hide).toBeGreaterThan(1.25);
});

test('each brightness gives less light than the one before it', () => {
  const [day, dusk, hide] = (['day', 'dark', 'hide'] as const).map(
    (scheme) => luminance(tokens[scheme].paper) + luminance(tokens[scheme].ink),
  ) as [number, number, number];
  expect(dusk).toBeLessThan(day);
  expect(hide).toBeLessThan(dusk);
});
