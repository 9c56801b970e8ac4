import type { SliderSingleProps } from 'antd/es/slider';
import { later } from './later';

/** A share or a number that is set by sliding. The library's own, which is large: it comes after the page. */
export const Slide = later<SliderSingleProps>(async () => (await import('antd/es/slider')).default);
