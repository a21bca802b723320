import { PrepFrame } from '@/views/prep/prep-frame';

export default function Layout({ children }: { readonly children: React.ReactNode }) {
  return <PrepFrame>{children}</PrepFrame>;
}
