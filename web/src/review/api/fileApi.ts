/** What the interface asks of the server about files that are being read. */
import { api } from './api.js';

export const fileApi = api.injectEndpoints({
  endpoints: (build) => ({
    stopFile: build.mutation<null, string>({
      query: (job) => ({ url: `files/${job}/stop`, method: 'POST' }),
    }),
  }),
});
