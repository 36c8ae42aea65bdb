/** Four slides with words of several kinds, and a picture on the first. */
export const OUTLINE = `# Boats at rest
date: 14 March to 30 August

![A boat aground](harbour-boats)

---

# Why they rest

Low water twice a day.
Nobody hurries.

So the photographer had time.

# What to look for

- The mast
- The ropes
- A dog, in one of them

# In their words

> We waited for the tide
> as one waits for a guest.

author: A skipper, 1891
`;
