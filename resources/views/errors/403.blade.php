<x-plain title="This is not yours to open"
    text="Rules and Team are for leads and admins, and what a colleague wrote is for that colleague to change." />
