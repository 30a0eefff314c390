export default lessonRoutes.get()
