<x-plain title="The page had been open too long" text="Nothing was saved. Go back, and send it again." />
