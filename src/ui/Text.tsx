import type { Ref } from 'react';
import { Text as NativeText, type TextProps } from 'react-native';

const KINDS = {
  headline: 'font-figures text-headline font-semibold',
  title: 'font-figures text-title font-semibold',
  figure: 'font-figures text-figure font-semibold',
  place: 'font-figures text-[1.1875rem] leading-[1.375rem] font-semibold',
  body: 'font-body text-body',
  strong: 'font-body text-body font-semibold',
  small: 'font-body text-small',
  label: 'font-body text-small font-semibold',
  tiny: 'font-body text-tiny',
} as const;

const INKS = { ink: 'text-ink', quiet: 'text-quiet', signal: 'text-signal' } as const;

/** Text in one of the sheet's sizes and inks. */
export function Text({
  kind = 'body',
  ink = 'ink',
  className = '',
  ...props
}: TextProps & {
  readonly kind?: keyof typeof KINDS;
  readonly ink?: keyof typeof INKS;
  readonly ref?: Ref<NativeText>;
}) {
  return <NativeText className={`${KINDS[kind]} ${INKS[ink]} ${className}`} {...props} />;
}

/** A heading of the page's outline. */
export function Heading({
  level,
  kind = 'strong',
  ...props
}: Parameters<typeof Text>[0] & { readonly level: 1 | 2 | 3 }) {
  return <Text role="heading" aria-level={level} kind={kind} {...props} />;
}
