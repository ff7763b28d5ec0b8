/* Summing tickets up, apart: a ticket that is only looked at needs none of it. */
export { summarise } from '@loose-pulley/core/record/ticket';
