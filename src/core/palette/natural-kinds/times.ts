/** Words in names that say what time or weather it is: the sky's, and that of what lies under it. */
export const DAY = ['day', 'noon', 'summer', 'sunny'];
export const DUSK = ['dusk', 'evening', 'sunset', 'dawn', 'sunrise', 'morning'];
export const NIGHT = ['night', 'midnight', 'moonlit', 'starry'];
export const STORM = ['storm', 'stormy', 'rain', 'rainy'];
