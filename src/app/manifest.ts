import type { MetadataRoute } from 'next';

/** How the app is installed, and what it then takes from the rest of the device: our files, and recipes that are shared with it. */
export default function manifest(): Manifest {
  const icon = (name: string, size: number, purpose: 'any' | 'maskable') => ({
    src: `/icons/${name}.png`,
    sizes: `${size}x${size}`,
    type: 'image/png',
    purpose,
  });
  return {
    id: '/',
    name: 'Warm Cadence',
    short_name: 'Warm Cadence',
    description: 'A whole meal to the table at one moment.',
    lang: 'en',
    dir: 'ltr',
    start_url: '/',
    scope: '/',
    display: 'standalone',
    background_color: '#efede6',
    theme_color: '#24211e',
    categories: ['food', 'lifestyle'],
    icons: [icon('icon-192', 192, 'any'), icon('icon-512', 512, 'any'), icon('maskable-512', 512, 'maskable')],
    shortcuts: [
      { name: 'Meals', url: '/', icons: [icon('icon-192', 192, 'any')] },
      { name: 'Read a recipe', url: '/dishes/read', icons: [icon('icon-192', 192, 'any')] },
      { name: 'The bench', url: '/bench', icons: [icon('icon-192', 192, 'any')] },
    ],
    share_target: { action: '/dishes/read', method: 'GET', params: { title: 'title', text: 'text', url: 'url' } },
    file_handlers: [{ action: '/', accept: { 'application/json': ['.json'] } }],
    launch_handler: { client_mode: 'navigate-existing' },
  };
}

type Manifest = MetadataRoute.Manifest;
