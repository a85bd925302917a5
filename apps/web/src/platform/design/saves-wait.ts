/** Whether changes wait because the server is away; a form that is being sent says so. Whoever knows provides it. */
import { createContext } from 'react';

export const SavesWaitContext = createContext(false);
