import { QUERIES } from '@/services/door/queries';
import { printCard } from '@/services/papers/paperCard';
import { prints } from '../../answers';

export const { GET, POST, PUT, PATCH, DELETE } = prints('power-cut-card.pdf', QUERIES.none, printCard);
