export default lessonRoutes.list()
