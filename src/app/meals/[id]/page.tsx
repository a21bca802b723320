import { MenuView } from '@/views/menu/menu-view';

export default function Page() {
  return <MenuView />;
}
