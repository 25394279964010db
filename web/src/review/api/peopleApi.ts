/** What the interface asks of the server about people. */
import type { Person } from '@even-lantern/contract';
import { api } from './api.js';

export const peopleApi = api.injectEndpoints({
  endpoints: (build) => ({
    people: build.query<Person[], void>({ query: () => 'people', providesTags: ['People'] }),
    addPerson: build.mutation<Person, string>({
      query: (name) => ({ url: 'people', method: 'POST', body: { name } }),
      invalidatesTags: ['People'],
    }),
  }),
});
