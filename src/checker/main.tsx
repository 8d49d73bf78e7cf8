import '@/messages/all';
import { createRoot } from 'react-dom/client';
import { Checker } from './Checker';

createRoot(document.getElementById('root')!).render(<Checker />);
