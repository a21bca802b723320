import { ShopView } from '@/views/prep/shop-view';

export default function Page() {
  return <ShopView />;
}
