import '@fontsource-variable/schibsted-grotesk';
import '@fontsource-variable/sofia-sans-semi-condensed';
import './globals.css';
import type { Metadata, Viewport } from 'next';
import { headers } from 'next/headers';
import type { ReactNode } from 'react';
import { paletteCss } from '@/ui/theme/palette';
import { THEME_SCRIPT } from '@/ui/theme/script';

export const metadata: Metadata = {
  title: { default: 'Yawtrope', template: '%s · Yawtrope' },
  description: 'Compose a manoeuvre, see what wind, current and propeller do to it, and keep it.',
};

export const viewport: Viewport = { width: 'device-width', initialScale: 1 };

export default async function Layout({ children }: { children: ReactNode }) {
  // Set by the server for this one answer: no other script on the page runs.
  const nonce = (await headers()).get('x-nonce') ?? undefined;
  return (
    <html lang="en" suppressHydrationWarning>
      <head>
        <style dangerouslySetInnerHTML={{ __html: paletteCss() }} />
        <script
          nonce={nonce}
          suppressHydrationWarning
          dangerouslySetInnerHTML={{ __html: THEME_SCRIPT }}
        />
      </head>
      <body>{children}</body>
    </html>
  );
}
