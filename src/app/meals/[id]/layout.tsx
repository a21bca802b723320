import { MealFrame } from '@/views/shell/meal-frame';

export default async function Layout({ children, params }: LayoutProps<'/meals/[id]'>) {
  const { id } = await params;
  return <MealFrame id={decodeURIComponent(id)}>{children}</MealFrame>;
}
