export { Patterns } from '@/charts/Patterns';
