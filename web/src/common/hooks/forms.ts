/** zod, kept from compiling code at run time, which the page's security policy forbids. */
import { z } from "zod";

z.config({ jitless: true });

export { z };
