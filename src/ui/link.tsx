'use client';

import NextLink from 'next/link';
import { useRouter } from 'next/navigation';
import type { ComponentProps } from 'react';

type Props = Omit<ComponentProps<typeof NextLink>, 'href' | 'prefetch'> & { readonly href: string };

/**
 * A link to another view. What it leads to is fetched ahead when a pointer or the focus comes to it: to fetch all that is in sight, as the
 * framework would, was forty calls for each page opened.
 */
export function Link({ href, onPointerEnter, onFocus, ...rest }: Props) {
  const router = useRouter();
  return (
    <NextLink
      {...rest}
      href={href}
      prefetch={false}
      onPointerEnter={(event) => {
        router.prefetch(href);
        onPointerEnter?.(event);
      }}
      onFocus={(event) => {
        router.prefetch(href);
        onFocus?.(event);
      }}
    />
  );
}
