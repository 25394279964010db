/** A busy machine renders slowly; what is waited for is the same. */
import { configure } from '@testing-library/react';

configure({ asyncUtilTimeout: 10_000 });
jest.setTimeout(30_000);
